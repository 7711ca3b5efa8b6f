#include "ui/seeing/saying_panel.h"
#include "ui/shell/flow_layout.h"
#include "ui/shell/step.h"
#include "ui/text/class_words.h"
#include "ui/text/seeing_words.h"
#include <QComboBox>
#include <QHeaderView>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QStackedWidget>
#include <QTableWidget>
#include <QTreeWidget>
#include <QUndoStack>
#include <QVBoxLayout>

namespace bevel::ui {

SayingPanel::SayingPanel(Session& session, QUndoStack& undo, QWidget* parent) : QWidget(parent), session_(session), undo_(undo) {
    either_ = new QStackedWidget;
    either_->addWidget(build_saying());
    either_->addWidget(build_truth());
    for (QWidget* w : std::initializer_list<QWidget*>{this, either_, either_->widget(0), either_->widget(1)})
        w->setObjectName(QStringLiteral("inCard"));
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->addWidget(either_);
    settle();
}

QWidget* SayingPanel::build_saying() {
    auto* head = new QLabel(tr("What do you see?"));
    head->setWordWrap(true);
    head->setObjectName(QStringLiteral("heading"));
    offered_ = new QTreeWidget;
    offered_->setObjectName(QStringLiteral("offered"));
    offered_->setAccessibleName(tr("What can be said, from the ground up"));
    offered_->setHeaderHidden(true);
    offered_->setColumnCount(1);
    offered_->setWordWrap(true);
    offered_->setToolTip(tr("1 to 8 open a part of the body, counted from the ground; Enter says it of this moment"));
    connect(offered_, &QTreeWidget::currentItemChanged, this, [this] { settle(); });
    connect(offered_, &QTreeWidget::itemActivated, this, [this](QTreeWidgetItem* item) {
        if (item->parent()) say();
    });
    const auto button = [this](const char* name, const QString& label, const QString& tip, std::function<void()> go) {
        auto* b = new QPushButton(label);
        b->setObjectName(QLatin1String(name));
        b->setToolTip(tip);
        connect(b, &QPushButton::clicked, this, std::move(go));
        return b;
    };
    side_ = new QComboBox;
    side_->setObjectName(QStringLiteral("saidSide"));
    side_->setAccessibleName(tr("On which side"));
    for (const SaidSide s : {SaidSide::none, SaidSide::left, SaidSide::right, SaidSide::both})
        side_->addItem(text::said_side(s), static_cast<int>(s));
    say_ = button("sayIt", tr("Say it here"), tr("Of this moment; Enter, in the list above"), [this] { say(); });
    up_ = button("saidUp", tr("Earlier"), tr("Say it before the one above"), [this] { move_said(-1); });
    down_ = button("saidDown", tr("Later"), tr("Say it after the one below"), [this] { move_said(1); });
    out_ = button("saidOut", tr("Take out"), tr("Delete"), [this] { take_out(); });
    tell_ = button("tellTruth", tr("Show what is there"), QString(), [this] { tell(); });
    tell_->setObjectName(QStringLiteral("primary"));
    auto* first = new QLabel(tr("What you would say, first things first"));
    first->setObjectName(QStringLiteral("heading"));
    first->setWordWrap(true);
    list_ = new QListWidget;
    list_->setObjectName(QStringLiteral("saidList"));
    list_->setAccessibleName(first->text());
    list_->setWordWrap(true);
    list_->setMinimumHeight(session_.theme.wide(110));
    connect(list_, &QListWidget::currentRowChanged, this, [this](int row) {
        settle();
        if (row >= 0 && row < static_cast<int>(said_.size())) emit moment_wanted(said_[static_cast<std::size_t>(row)].time_s);
    });
    auto* saying = new FlowLayout;
    saying->setSpacing(6);
    saying->addWidget(side_);
    saying->addWidget(say_);
    auto* order = new FlowLayout;
    order->setSpacing(6);
    for (QWidget* w : {up_, down_, out_}) order->addWidget(w);
    auto* box = new QWidget;
    auto* all = new QVBoxLayout(box);
    all->setContentsMargins(0, 0, 0, 0);
    all->addWidget(head);
    all->addWidget(offered_, 3);
    all->addLayout(saying);
    all->addWidget(first);
    all->addWidget(list_, 2);
    all->addLayout(order);
    all->addWidget(tell_);
    return box;
}

QWidget* SayingPanel::build_truth() {
    sum_ = new QLabel;
    sum_->setObjectName(QStringLiteral("heading"));
    sum_->setWordWrap(true);
    how_ = new QLabel;
    how_->setObjectName(QStringLiteral("seenHow"));
    how_->setWordWrap(true);
    truth_ = new QTableWidget(0, 2);
    truth_->setObjectName(QStringLiteral("whatIsThere"));
    truth_->setAccessibleName(tr("What is there, and what was said"));
    truth_->setHorizontalHeaderLabels({tr("Seen"), tr("What, where and when")});
    truth_->verticalHeader()->hide();
    truth_->verticalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    truth_->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    truth_->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Interactive);
    truth_->setColumnWidth(0, session_.theme.wide(104));
    truth_->horizontalHeader()->setSectionResizeMode(1, QHeaderView::Stretch);
    truth_->setShowGrid(false);
    truth_->setWordWrap(true);
    truth_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    truth_->setSelectionBehavior(QAbstractItemView::SelectRows);
    truth_->setSelectionMode(QAbstractItemView::SingleSelection);
    connect(truth_, &QTableWidget::currentCellChanged, this, [this](int row) {
        if (row < 0 || row >= static_cast<int>(rows_.size())) return;
        emit there_wanted(rows_[static_cast<std::size_t>(row)]);
        emit moment_wanted(moments_[static_cast<std::size_t>(row)]);
    });
    auto* box = new QWidget;
    auto* all = new QVBoxLayout(box);
    all->setContentsMargins(0, 0, 0, 0);
    all->addWidget(sum_);
    all->addWidget(how_);
    all->addWidget(truth_, 1);
    return box;
}

void SayingPanel::show_clip(std::shared_ptr<const ClipSeen> clip) {
    clip_ = std::move(clip);
    told_ = false;
    said_.clear();
    count_ = {};
    undo_.clear();
    truth_->setRowCount(0);
    rows_.clear(), moments_.clear();
    either_->setCurrentIndex(0);
    fill_offered();
    fill_said(-1);
    settle();
}

void SayingPanel::fill_offered() {
    offered_->clear();
    if (!clip_) return;
    const auto& all = clip_->offered();
    for (int family = 0; family < family_count; ++family) {
        QTreeWidgetItem* group = nullptr;
        for (std::size_t k = 0; k < all.size(); ++k) {
            if (static_cast<int>(all[k].family) != family) continue;
            if (!group) {
                group = new QTreeWidgetItem(offered_,
                                            {tr("%1  %2", "a key, a part of the body").arg(family + 1).arg(text::family(all[k].family))});
                group->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable);
                group->setData(0, Qt::UserRole, -1 - family);
                group->setFont(0, session_.theme.font(10.5, QFont::DemiBold));
            }
            auto* item = new QTreeWidgetItem(group, {text::sayable(all[k], session_.catalogue)});
            item->setData(0, Qt::UserRole, static_cast<int>(k));
        }
    }
    constexpr std::size_t few = 12; // all of them in sight
    if (all.size() <= few) offered_->expandAll();
}

void SayingPanel::go_to(int family) {
    for (int k = 0; k < offered_->topLevelItemCount(); ++k) {
        auto* group = offered_->topLevelItem(k);
        if (group->data(0, Qt::UserRole).toInt() != -1 - family) continue;
        group->setExpanded(true);
        offered_->setCurrentItem(group->child(0));
        offered_->scrollToItem(group, QAbstractItemView::PositionAtTop);
        offered_->setFocus();
    }
}

const Sayable* SayingPanel::chosen() const {
    const auto* item = offered_->currentItem();
    const int k = item ? item->data(0, Qt::UserRole).toInt() : -1;
    return clip_ && k >= 0 && k < static_cast<int>(clip_->offered().size()) ? &clip_->offered()[static_cast<std::size_t>(k)] : nullptr;
}

bool SayingPanel::choose(const std::string& check, Direction direction, SaidSide side) {
    for (int g = 0; g < offered_->topLevelItemCount(); ++g)
        for (int k = 0; k < offered_->topLevelItem(g)->childCount(); ++k) {
            auto* item = offered_->topLevelItem(g)->child(k);
            const Sayable& s = clip_->offered()[static_cast<std::size_t>(item->data(0, Qt::UserRole).toInt())];
            if (s.check != check || s.direction != direction) continue;
            offered_->setCurrentItem(item);
            side_->setCurrentIndex(side_->findData(static_cast<int>(side)));
            return true;
        }
    return false;
}

void SayingPanel::set_said(std::vector<Said> now, int choose) {
    undo_.push(new Step<std::vector<Said>>(
        tr("what is said"),
        [this, choose](const std::vector<Said>& said) {
            said_ = said;
            fill_said(choose);
            emit changed(said_);
        },
        said_, std::move(now)));
}

void SayingPanel::say() {
    const Sayable* what = chosen();
    if (!what || told_) return;
    constexpr std::size_t most = 40;
    if (said_.size() >= most) return;
    auto now = said_;
    const auto side = what->sided ? static_cast<SaidSide>(side_->currentData().toInt()) : SaidSide::none;
    now.push_back({what->check, what->direction, side, time_});
    set_said(std::move(now), static_cast<int>(said_.size()));
}

void SayingPanel::move_said(int by) {
    const int row = list_->currentRow(), to = row + by;
    if (row < 0 || to < 0 || to >= static_cast<int>(said_.size())) return;
    auto now = said_;
    std::swap(now[static_cast<std::size_t>(row)], now[static_cast<std::size_t>(to)]);
    set_said(std::move(now), to);
}

void SayingPanel::take_out() {
    const int row = list_->currentRow();
    if (row < 0 || row >= static_cast<int>(said_.size())) return;
    auto now = said_;
    now.erase(now.begin() + row);
    set_said(std::move(now), std::min(row, static_cast<int>(now.size()) - 1));
}

void SayingPanel::fill_said(int choose) {
    const QSignalBlocker quiet(list_);
    list_->clear();
    if (clip_)
        for (std::size_t k = 0; k < said_.size(); ++k)
            list_->addItem(
                tr("%1. %2").arg(k + 1).arg(text::said_of(said_[k], clip_->review().movement, clip_->review(), session_.catalogue)));
    list_->setCurrentRow(std::min(choose, list_->count() - 1));
    settle();
}

void SayingPanel::settle() {
    const Sayable* what = chosen();
    const int row = list_->currentRow();
    say_->setEnabled(what != nullptr);
    side_->setEnabled(what && what->sided);
    up_->setEnabled(row > 0);
    down_->setEnabled(row >= 0 && row + 1 < list_->count());
    out_->setEnabled(row >= 0);
    tell_->setEnabled(clip_ != nullptr && !told_);
    tell_->setToolTip(said_.empty() ? tr("You see nothing to say; nothing can be said of this clip afterwards")
                                    : tr("Nothing can be said of this clip afterwards"));
}

void SayingPanel::tell() {
    if (!clip_ || told_) return;
    told_ = true;
    undo_.clear(); // what was said stays said
    count_ = count_seen(said_, clip_->truth(), clip_->review().movement);
    fill_truth();
    either_->setCurrentIndex(1);
    settle();
    emit was_told(count_, said_);
    if (truth_->rowCount() > 0) truth_->selectRow(0);
    truth_->setFocus();
}

void SayingPanel::fill_truth() {
    const Review& review = clip_->review();
    const Movement& m = review.movement;
    const Units units = session_.settings.units(review.motion);
    const auto& truth = clip_->truth();
    rows_.clear(), moments_.clear();
    truth_->setRowCount(0);
    const auto row = [&](const QString& mark, const QStringList& lines, const QColor& ink, const std::optional<Visible>& what, double at) {
        const int n = truth_->rowCount();
        rows_.push_back(what), moments_.push_back(at); // before anything is chosen
        truth_->insertRow(n);
        auto* seen = new QTableWidgetItem(mark);
        seen->setForeground(ink);
        seen->setFont(session_.theme.font(10.5, QFont::DemiBold));
        auto* words = new QTableWidgetItem(lines.join(QLatin1Char('\n')));
        words->setToolTip(lines.join(QStringLiteral("; ")).toHtmlEscaped());
        truth_->setItem(n, 0, seen);
        truth_->setItem(n, 1, words);
    };
    const Palette& c = session_.theme.palette;
    const auto lines_of = [&](const Visible& v) {
        return QStringList{text::missed(v.check, v.direction, session_.catalogue), text::where_visible(v, m, review)};
    };
    for (std::size_t i = 0; i < truth.there.size(); ++i) {
        const Visible& v = truth.there[i];
        QStringList lines = lines_of(v);
        lines << text::how_large(v, review, units);
        if (const auto by = count_.found_by[i]) {
            const Said& s = said_[*by];
            lines << tr("you: %1", "what was said").arg(text::said_of(s, m, review, session_.catalogue));
            if (count_.side_right[i] == false)
                lines << (s.side == SaidSide::none ? tr("on which side was not said") : tr("on another side"));
            if (count_.moment_right[i] == false) lines << tr("it does not show at that moment");
        }
        const auto mark = count_.found_by[i] ? std::optional(SeenMark::found) : std::nullopt;
        row(text::seen_mark(mark), lines, mark ? c.inside : c.outside, v, v.time_s);
    }
    for (std::size_t k = 0; k < said_.size(); ++k) {
        const SeenMark mark = count_.said[k];
        if (mark == SeenMark::found) continue;
        row(text::seen_mark(mark), {tr("you: %1", "what was said").arg(text::said_of(said_[k], m, review, session_.catalogue))},
            mark == SeenMark::invented ? c.outside : c.faint, std::nullopt, said_[k].time_s);
    }
    if (clip_->exercise)
        for (const auto& v : clip_->exercise->hidden)
            row(tr("hidden"),
                {text::missed(v.check, v.direction, session_.catalogue), tr("it is there, and cannot be told from this side")}, c.faint,
                std::nullopt, v.time_s);
    sum_->setText(text::seen_count(count_));
    how_->setText(text::seen_how(count_));
    how_->setVisible(!how_->text().isEmpty());
}

} // namespace bevel::ui
