#include "ui/review/which_box.h"
#include "ui/text/text.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace bevel::ui {

bool WhichBox::has_words(const OpenReview& open) {
    const auto& out = open.review->alignment.left_out;
    return !open.elsewhere.empty() ||
           std::any_of(out.begin(), out.end(), [](const NotJudged& n) { return n.why != NotJudged::Why::other_movement; });
}

WhichBox::WhichBox(const Session& session, const OpenReview& open, QWidget* parent) : QFrame(parent) {
    setObjectName(QStringLiteral("card"));
    setAccessibleName(tr("What else this may be"));
    auto* box = new QVBoxLayout(this);
    const auto add = [&](const QString& words, const char* name) {
        auto* label = new QLabel(words);
        label->setTextFormat(Qt::PlainText);
        label->setWordWrap(true);
        label->setObjectName(QLatin1String(name));
        box->addWidget(label);
    };
    const auto name_of = [&](const std::string& id) {
        const auto m = session.movement(id);
        return m ? text::movement(*m) : QString::fromStdString(id);
    };
    const Review& r = *open.review;
    const QString named = text::movement(r.movement);
    QString other;
    if (!open.elsewhere.empty()) {
        const Elsewhere& e = open.elsewhere.front();
        other = name_of(e.movement);
        if (!r.held_back.empty()) {
            add(tr("This looks like %1").arg(other), "heading");
            add(tr("The clip is named %1, which explains it clearly worse. Corrections would be those of the wrong movement, so nothing is "
                   "judged. Figures and lanes stand as they were measured.")
                    .arg(named),
                "whichWords");
        } else if (e.near) {
            add(tr("Is this %1?").arg(other), "heading");
            add(tr("It is named %1. The two look so much alike from here that only you can tell; it is judged as it is named.").arg(named),
                "whichWords");
        } else {
            add(tr("Part of this looks like something else"), "heading");
            QStringList parts;
            for (const auto& x : open.elsewhere)
                parts << tr("%1 to %2: %3").arg(text::time(x.from_s), text::time(x.to_s), name_of(x.movement));
            add(tr("Left out, and not judged as %1:\n%2").arg(named, parts.join(QLatin1Char('\n'))), "whichWords");
        }
    }
    QStringList others;
    for (const auto& n : r.alignment.left_out) {
        if (n.why == NotJudged::Why::other_movement || !r.held_back.empty()) continue; // held back, nothing of it is judged anyway
        others << (n.why == NotJudged::Why::cut
                       ? tr("%1 to %2 is left out: the clip begins or ends in it.").arg(text::time(n.from_s), text::time(n.to_s))
                       : tr("%1 to %2 is left out: it is not like the movement from beginning to end.")
                             .arg(text::time(n.from_s), text::time(n.to_s)));
    }
    if (!others.isEmpty()) add(others.join(QLatin1Char('\n')), "notJudged");
    if (open.elsewhere.empty()) return;
    auto* row = new QVBoxLayout;
    const bool writable = !session.library->read_only();
    const auto button = [&](const QString& words, const char* name, auto go) {
        auto* b = new QPushButton(QString(words).replace(QLatin1Char('&'), QStringLiteral("&&"))); // names may have any letter
        b->setObjectName(QLatin1String(name));
        b->setAccessibleName(words);
        b->setEnabled(writable);
        QObject::connect(b, &QPushButton::clicked, this, go);
        row->addWidget(b, 0, Qt::AlignLeft);
    };
    const std::string id = open.elsewhere.front().movement;
    const bool all = !r.held_back.empty() || open.elsewhere.front().near;
    if (all) button(tr("It is %1").arg(other), "asOther", [this, id] { emit as_other(QString::fromStdString(id)); });
    button(all ? tr("It is %1 all the same (Y)").arg(named) : tr("All of it is %1 (Y)").arg(named), "asNamed", [this] { emit as_named(); });
    box->addLayout(row);
}

} // namespace bevel::ui
