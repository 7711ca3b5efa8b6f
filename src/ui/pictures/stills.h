// What one sees of a clip at a glance.
#pragma once
#include "store/library.h"
#include <QImage>

namespace bevel::ui {

/// The student on a frame a third into the clip, close about the body where it is known; so many pixels high. Null where the film is not
/// there. Reads the film: off the interface thread.
QImage still_of(const Library& library, const Clip& clip, int height);

} // namespace bevel::ui
