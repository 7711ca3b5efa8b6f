// One way to show data: as it is written. A name, a file or a note that looks like HTML must load no picture and open no link.
#pragma once

namespace bevel::ui {

/// From now on every label of the program, those of message boxes and tool tips too, shows plain text, unless it was set to rich text by
/// name. Tab leaves every list and table. Once a program; needs the QApplication.
void keep_labels_plain();

} // namespace bevel::ui
