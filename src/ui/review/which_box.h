// Says that a clip, or a part of it, looks like another movement than it is named, with the ways on.
#pragma once
#include "ui/review/review_state.h"
#include <QFrame>

namespace bevel::ui {

class WhichBox : public QFrame {
    Q_OBJECT
public:
    /// Something to say about the open clip: else no box is made.
    static bool has_words(const OpenReview& open);
    WhichBox(const Session& session, const OpenReview& open, QWidget* parent = nullptr);

signals:
    void as_named();                        // it is what it is named
    void as_other(const QString& movement); // it is that one
};

} // namespace bevel::ui
