#include "ui/ground/points_panel.h"
#include "ui/text/text.h"
#include <QComboBox>
#include <QLabel>
#include <QListWidget>
#include <QLocale>
#include <QToolButton>
#include <QVBoxLayout>

namespace bevel::ui {

PointsPanel::PointsPanel(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    auto* head = new QLabel(tr("Doubtful, longest first"));
    head->setObjectName(QStringLiteral("heading"));
    list_ = new QListWidget;
    list_->setObjectName(QStringLiteral("doubts"));
    list_->setAccessibleName(tr("Doubtful stretches"));
    list_->setWordWrap(true);
    mended_ = new QLabel;
    mended_->setWordWrap(true);
    auto button = [&](const char* name, const QString& label, const QString& tip, auto signal) {
        auto* b = new QToolButton;
        b->setObjectName(QLatin1String(name));
        b->setText(label);
        b->setToolTip(tip);
        b->setProperty("small", true);
        b->setFocusPolicy(Qt::TabFocus);
        connect(b, &QToolButton::clicked, this, signal);
        return b;
    };
    mend_ = button("mendDoubt", tr("Mend it"), tr("Swaps the sides back, or fills the moment from its neighbours"),
                   [this] { emit mend(list_->currentRow()); });
    auto* next = button("nextDoubtful", tr("Next doubtful"), tr("The next frame on which the body is not to be trusted (N)"),
                        [this] { emit this->next(); });
    auto* before = button("fromBefore", tr("From the frame before"), tr("The chosen point as it was on the frame before (P)"),
                          [this] { emit from_before(); });
    swap_ = button("swapSides", tr("Swap sides from here"),
                   tr("Left and right change places from this frame to where you press it again (S)"), [this] { emit swap(); });
    auto* fill = button("fillBetween", tr("Fill between"),
                        tr("Follows the chosen point through the pictures from the mark before to the mark after (F)"),
                        [this] { emit this->fill(); });
    auto* body = button("setBody", tr("Set a body here"), tr("Where nobody was found: as on the nearest frame, or standing straight (B)"),
                        [this] { emit set_body(); });
    auto* follow = button("followBody", tr("Follow the body"),
                          tr("Through the frames between two on which the whole body was set by hand (G)"), [this] { emit follow_body(); });
    back_ = button("dropEdits", tr("Take all back"), {}, [this] { emit take_back(); });
    extra_ = new QComboBox;
    extra_->setObjectName(QStringLiteral("extraPoint"));
    extra_->setAccessibleName(tr("A point that is not looked for"));
    extra_->setToolTip(tr("Marked by hand where rolling of the back or a tool is judged; fill between marked frames"));
    extra_->addItem(tr("mark also: none"), -1);
    const std::array<QString, extra_count> names{
        tr("base of the neck"),      tr("middle of the back"),  tr("low back"), tr("tail bone"), tr("crown"),
        tr("front end of the tool"), tr("back end of the tool")};
    for (int e = 0; e < extra_count; ++e) extra_->addItem(tr("mark also: %1").arg(names[static_cast<std::size_t>(e)]), e);
    connect(extra_, &QComboBox::activated, this, [this] { emit extra_chosen(extra_->currentData().toInt()); });
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(12, 10, 12, 10);
    box->addWidget(head);
    box->addWidget(list_, 1);
    auto line = [&](std::initializer_list<QWidget*> widgets) {
        auto* row = new QHBoxLayout;
        for (auto* w : widgets) row->addWidget(w);
        row->addStretch(1);
        box->addLayout(row);
    };
    line({next, mend_});
    auto* tools = new QLabel(tr("The chosen point"));
    tools->setObjectName(QStringLiteral("heading"));
    box->addWidget(tools);
    line({before, fill});
    line({swap_});
    box->addWidget(extra_);
    line({body, follow});
    auto* done = new QLabel(tr("Mended"));
    done->setObjectName(QStringLiteral("heading"));
    box->addWidget(done);
    box->addWidget(mended_);
    line({back_});
    connect(list_, &QListWidget::currentRowChanged, this, [this](int row) {
        mend_->setEnabled(row >= 0 && row < static_cast<int>(doubts_.size()) &&
                          (doubts_[static_cast<std::size_t>(row)].kind == DoubtKind::swapped ||
                           doubts_[static_cast<std::size_t>(row)].kind == DoubtKind::jump));
        if (row < 0 || row >= static_cast<int>(doubts_.size())) return;
        const Doubt& d = doubts_[static_cast<std::size_t>(row)];
        emit go_to(static_cast<int>(d.from), d.point ? static_cast<int>(*d.point) : -1);
    });
    mend_->setEnabled(false);
}

QString PointsPanel::words(const Doubt& d, const Track& track) {
    const double from = track.time_s[std::min<std::size_t>(d.from, track.frames() - 1)],
                 to = track.time_s[std::min<std::size_t>(d.to, track.frames() - 1)];
    const QString point = d.point ? text::point(*d.point) : QString();
    QString what;
    switch (d.kind) {
    case DoubtKind::lost:
        what = tr("nobody found");
        break;
    case DoubtKind::unsure:
        what = tr("%1 hardly seen").arg(point);
        break;
    case DoubtKind::swapped:
        what = tr("left and right leg changed places");
        break;
    case DoubtKind::jump:
        what = tr("%1 jumps").arg(point);
        break;
    case DoubtKind::bone:
        what = tr("%1: the bone above it is too long").arg(point);
        break;
    case DoubtKind::sliding:
        what = tr("%1: the foot slides over the floor").arg(point);
        break;
    }
    if (to - from < 0.15) return tr("%1: %2").arg(text::time(from), what); // a moment
    return tr("%1, %2 s: %3").arg(text::time(from), QLocale().toString(to - from, 'f', 1), what);
}

void PointsPanel::show_doubts(const std::vector<Doubt>& doubts, const Track& track) {
    const QSignalBlocker quiet(list_);
    doubts_ = doubts;
    list_->clear();
    if (track.frames() == 0) return;
    for (const auto& d : doubts_) list_->addItem(words(d, track));
    if (doubts_.empty()) list_->addItem(tr("Nothing is doubtful."));
    mend_->setEnabled(false);
}

void PointsPanel::show_mended(const Layers& l, bool swap_begun) {
    const auto filled = std::count_if(l.edits.begin(), l.edits.end(), [](const PointEdit& e) { return e.filled; });
    QStringList parts;
    const int by_hand = static_cast<int>(l.edits.size() - static_cast<std::size_t>(filled));
    if (by_hand > 0) parts << tr("%n point(s) by hand", nullptr, by_hand);
    if (filled > 0) parts << tr("%n filled between", nullptr, static_cast<int>(filled));
    if (!l.swaps.empty()) parts << tr("%n stretch(es) with the sides swapped", nullptr, static_cast<int>(l.swaps.size()));
    if (!l.extra.empty()) parts << tr("%n frame(s) with points of the back or a tool", nullptr, static_cast<int>(l.extra.size()));
    mended_->setText(parts.isEmpty() ? tr("nothing") : parts.join(QStringLiteral(", ")));
    back_->setEnabled(!parts.isEmpty());
    swap_->setText(swap_begun ? tr("Swap sides to here") : tr("Swap sides from here"));
}

} // namespace bevel::ui
