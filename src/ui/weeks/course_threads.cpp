#include "ui/weeks/course_threads.h"
#include "ui/paint/course_chart.h"
#include "ui/text/course_words.h"
#include <QHeaderView>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QScrollBar>
#include <QStyledItemDelegate>

namespace bevel::ui {

void ThreadsModel::show(const Course& course, const QStringList& titles, std::size_t now, const std::map<std::string, int>& by_hand) {
    const bool same = course.weeks.size() == course_.weeks.size() && course.threads.size() == course_.threads.size();
    if (!same) beginResetModel();
    course_ = course, titles_ = titles, now_ = now, by_hand_ = by_hand;
    if (!same) return endResetModel();
    if (rowCount() == 0 || columnCount() == 0) return;
    emit dataChanged(index(0, 0), index(rowCount() - 1, columnCount() - 1));
    emit headerDataChanged(Qt::Horizontal, 0, columnCount() - 1);
    emit headerDataChanged(Qt::Vertical, 0, rowCount() - 1);
}

const CourseThread* ThreadsModel::thread(int row) const {
    return row >= 1 && row < rowCount() ? &course_.threads[static_cast<std::size_t>(row) - 1] : nullptr;
}
int ThreadsModel::by_hand(int row) const {
    const CourseThread* t = thread(row);
    const auto it = t ? by_hand_.find(t->key()) : by_hand_.end();
    return it == by_hand_.end() ? 0 : it->second;
}

int ThreadsModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() || course_.weeks.empty() ? 0 : static_cast<int>(course_.threads.size()) + 1;
}
int ThreadsModel::columnCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(course_.weeks.size());
}

QString ThreadsModel::words(const QModelIndex& i) const {
    const auto w = static_cast<std::size_t>(i.column());
    if (const CourseThread* t = thread(i.row())) {
        const QString what = text::beat(t->beats[w]);
        return !what.isEmpty() ? what : t->beats[w] == Beat::rests ? tr("rests") : tr("not yet");
    }
    const CourseWeek& week = course_.weeks[w];
    QStringList all;
    if (w == now_) all << tr("this week");
    if (week.missed) all << tr("missed");
    if (const QString kind = text::week_kind(week.kind); !kind.isEmpty()) all << kind;
    all << text::week_clips(week);
    return all.join(QStringLiteral("; "));
}

QVariant ThreadsModel::data(const QModelIndex& i, int role) const {
    if (!i.isValid() || i.row() >= rowCount() || i.column() >= columnCount()) return {};
    switch (role) {
    case Qt::DisplayRole:
        return words(i);
    case Qt::AccessibleTextRole:
        return tr("week %1, %2: %3").arg(i.column() + 1).arg(name(i.row()), words(i));
    case Qt::ToolTipRole: // escaped: a tool tip guesses what its text is
        return words(i).toHtmlEscaped();
    default:
        return {};
    }
}

QVariant ThreadsModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (section < 0 || section >= (orientation == Qt::Horizontal ? columnCount() : rowCount())) return {};
    if (orientation == Qt::Horizontal)
        return role == Qt::DisplayRole
                   ? QVariant(text::week_head(static_cast<std::size_t>(section), course_.weeks[static_cast<std::size_t>(section)]))
                   : QVariant();
    if (role == Qt::ToolTipRole) return name(section).toHtmlEscaped();
    if (role != Qt::DisplayRole) return {};
    QStringList lines = name(section).split(QLatin1Char('\n'));
    if (room_ > 0)
        for (auto& l : lines) l = QFontMetrics(font_).elidedText(l, Qt::ElideRight, room_);
    return lines.join(QLatin1Char('\n'));
}

QString ThreadsModel::name(int row) const {
    return row == 0 ? tr("The week") : titles_.value(row - 1);
}

void ThreadsModel::set_names_room(const QFont& font, int px) {
    if (px == room_) return;
    font_ = font, room_ = px;
    if (rowCount() > 0) emit headerDataChanged(Qt::Vertical, 0, rowCount() - 1);
}

class ThreadsDelegate : public QStyledItemDelegate {
public:
    ThreadsDelegate(const Session& session, ThreadsTable* table) : QStyledItemDelegate(table), session_(session), table_(table) {}
    void paint(QPainter* p, const QStyleOptionViewItem& option, const QModelIndex& i) const override {
        const Palette& c = session_.theme.palette;
        const auto w = static_cast<std::size_t>(i.column());
        const ThreadsModel& m = *table_->model_;
        const QRectF cell(option.rect);
        p->save();
        p->fillRect(cell, c.sheet);
        draw_week_ground(*p, cell, m.course().weeks[w], w == m.now(), c);
        p->setFont(session_.theme.font(9));
        if (const CourseThread* t = m.thread(i.row())) {
            draw_beat(*p, cell, *t, w, c);
            if (m.by_hand(i.row()) == i.column() + 1) { // set by hand: a nail beside the mark
                p->setPen(QPen(c.accent, 1.6));
                p->drawLine(cell.topRight() + QPointF(-6, 4), cell.topRight() + QPointF(-6, 12));
                p->drawLine(cell.topRight() + QPointF(-9, 4), cell.topRight() + QPointF(-3, 4));
            }
            if (i.row() == table_->dragged_.row() && i.column() == table_->over_) {
                p->setOpacity(0.5);
                draw_beat_mark(*p, cell, Beat::begins, c);
                p->setOpacity(1);
            }
        } else {
            draw_week(*p, cell, m.course().weeks[w], c);
        }
        if (option.state & (QStyle::State_Selected | QStyle::State_HasFocus)) {
            p->setBrush(Qt::NoBrush);
            p->setPen(QPen(table_->hasFocus() ? c.focus : c.faint, 2));
            p->drawRect(cell.adjusted(1.5, 1.5, -1.5, -1.5));
        }
        p->restore();
    }

private:
    const Session& session_;
    ThreadsTable* table_;
};

ThreadsTable::ThreadsTable(const Session& session, ThreadsModel* model, QWidget* parent)
    : QTableView(parent), session_(session), model_(model) {
    setObjectName(QStringLiteral("courseThreads"));
    setAccessibleName(tr("Threads of the course over its weeks"));
    setToolTip(tr("B begins a thread in the chosen week, Delete leaves it to the course again, M says the week was missed; marks can be "
                  "dragged"));
    setModel(model);
    setItemDelegate(new ThreadsDelegate(session, this));
    setSelectionMode(QAbstractItemView::SingleSelection);
    setEditTriggers(QAbstractItemView::NoEditTriggers);
    setTabKeyNavigation(false);
    setHorizontalScrollMode(QAbstractItemView::ScrollPerPixel);
    horizontalHeader()->setSectionResizeMode(QHeaderView::Fixed);
    horizontalHeader()->setMinimumSectionSize(session.theme.wide(40));
    horizontalHeader()->setFixedHeight(session.theme.wide(44));
    horizontalHeader()->setHighlightSections(false);
    horizontalHeader()->setAccessibleName(tr("Weeks"));
    verticalHeader()->setSectionResizeMode(QHeaderView::Fixed);
    verticalHeader()->setDefaultSectionSize(session.theme.wide(38));
    verticalHeader()->setHighlightSections(false);
    verticalHeader()->setAccessibleName(tr("Threads"));
    verticalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter | Qt::Alignment(Qt::TextWordWrap));
    const QString narrow = QStringLiteral("QHeaderView::section { font-size: %1pt; font-weight: normal; padding: 2px %2px; }")
                               .arg(session.theme.font(9).pointSizeF());
    horizontalHeader()->setStyleSheet(narrow.arg(1));
    verticalHeader()->setStyleSheet(narrow.arg(6));
    connect(model, &QAbstractItemModel::modelReset, this, &ThreadsTable::fit);
}

void ThreadsTable::fit() {
    const int count = model_->columnCount();
    if (count == 0) return;
    // Where the weeks do not fit beside names at their widest, the names give way first.
    const int least = horizontalHeader()->minimumSectionSize(),
              frame = 2 * frameWidth() + (verticalScrollBar()->isVisible() ? verticalScrollBar()->width() : 0);
    const int names = std::clamp(width() - frame - count * least, session_.theme.wide(names_least), session_.theme.wide(names_wide));
    verticalHeader()->setFixedWidth(names);
    model_->set_names_room(session_.theme.font(9), names - session_.theme.wide(14));
    const int each = (width() - frame - names) / count;
    for (int c = 0; c < count; ++c) setColumnWidth(c, std::max(least, each));
    if (model_->rowCount() > 0) setRowHeight(0, verticalHeader()->defaultSectionSize() * 9 / 8);
}

/// Its keys are its own, whatever the place has on them.
bool ThreadsTable::event(QEvent* e) {
    if (e->type() == QEvent::ShortcutOverride) {
        const auto* k = static_cast<QKeyEvent*>(e);
        if (k->modifiers() == Qt::NoModifier && (k->key() == Qt::Key_B || k->key() == Qt::Key_Delete || k->key() == Qt::Key_M)) {
            e->accept();
            return true;
        }
    }
    return QTableView::event(e);
}

void ThreadsTable::keyPressEvent(QKeyEvent* e) {
    const QModelIndex at = currentIndex();
    const CourseThread* t = at.isValid() ? model_->thread(at.row()) : nullptr;
    if (e->modifiers() == Qt::NoModifier && at.isValid()) {
        if (e->key() == Qt::Key_B && t) return emit begins_asked(QString::fromStdString(t->key()), at.column());
        if (e->key() == Qt::Key_Delete && t) return emit released(QString::fromStdString(t->key()));
        if (e->key() == Qt::Key_M) return emit missed_asked(at.column());
    }
    QTableView::keyPressEvent(e);
}

void ThreadsTable::mousePressEvent(QMouseEvent* e) {
    QTableView::mousePressEvent(e);
    const QModelIndex i = indexAt(e->position().toPoint());
    const CourseThread* t = i.isValid() ? model_->thread(i.row()) : nullptr;
    const Beat b = t ? t->beats[static_cast<std::size_t>(i.column())] : Beat::not_yet;
    if (e->button() == Qt::LeftButton && (b == Beat::begins || b == Beat::grows)) dragged_ = i;
}

void ThreadsTable::mouseMoveEvent(QMouseEvent* e) {
    if (!dragged_.isValid()) return QTableView::mouseMoveEvent(e);
    const int column = columnAt(static_cast<int>(e->position().x()));
    const int over = column == dragged_.column() ? -1 : column;
    if (over != over_) {
        over_ = over;
        viewport()->update();
    }
}

void ThreadsTable::mouseReleaseEvent(QMouseEvent* e) {
    QTableView::mouseReleaseEvent(e);
    const CourseThread* t = dragged_.isValid() ? model_->thread(dragged_.row()) : nullptr;
    const QString key = t ? QString::fromStdString(t->key()) : QString();
    const int to = over_;
    const int row = dragged_.row();
    dragged_ = QModelIndex();
    over_ = -1;
    viewport()->update();
    if (key.isEmpty() || to < 0) return;
    setCurrentIndex(model_->index(row, to));
    emit begins_asked(key, to);
}

void ThreadsTable::resizeEvent(QResizeEvent* e) {
    QTableView::resizeEvent(e);
    fit();
}

} // namespace bevel::ui
