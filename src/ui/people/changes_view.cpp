#include "ui/people/changes_view.h"
#include "ui/shell/workspace.h"
#include <cmath>
#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QStyledItemDelegate>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {

constexpr int way_column = 1;

/// A figure over the clips of its newest line, small: its band, its points, the last one marked.
class WayDelegate : public QStyledItemDelegate {
public:
    WayDelegate(const Session& session, const RowsModel<FigureTrend>* rows, QObject* parent)
        : QStyledItemDelegate(parent), session_(session), rows_(rows) {}
    void paint(QPainter* p, const QStyleOptionViewItem& option, const QModelIndex& index) const override {
        QStyledItemDelegate::paint(p, option, index);
        const FigureTrend* t = rows_->at(index);
        if (!t) return;
        const auto& line = newest_line(*t);
        double low = 1e300, high = -1e300;
        auto take = [&](double v) { low = std::min(low, v), high = std::max(high, v); };
        for (const auto i : line) take(t->points[i].value);
        const KeptFigure& last = t->points[line.back()];
        for (const auto& end : {last.low, last.high})
            if (end) take(*end);
        if (high <= low) high = low + 1;
        const QRectF r = QRectF(option.rect).adjusted(8, 5, -8, -5);
        auto y = [&](double v) { return r.bottom() - (v - low) / (high - low) * r.height(); };
        auto x = [&](std::size_t k) {
            return line.size() < 2 ? r.center().x() : r.left() + r.width() * double(k) / double(line.size() - 1);
        };
        p->save();
        p->setRenderHint(QPainter::Antialiasing);
        const Palette& c = session_.theme.palette;
        p->fillRect(
            QRectF(QPointF(r.left(), last.high ? y(*last.high) : r.top()), QPointF(r.right(), last.low ? y(*last.low) : r.bottom())),
            c.band);
        QPolygonF way;
        for (std::size_t k = 0; k < line.size(); ++k) way << QPointF(x(k), y(t->points[line[k]].value));
        p->setPen(QPen(c.ink, 1.4));
        p->drawPolyline(way);
        p->setBrush(c.ink);
        p->drawEllipse(way.back(), 2.6, 2.6);
        p->restore();
    }

private:
    const Session& session_;
    const RowsModel<FigureTrend>* rows_;
};

bool is_outside(const FigureTrend& t) {
    const auto& p = t.points.back();
    return (p.low && p.value < *p.low) || (p.high && p.value > *p.high);
}
bool has_changed(const FigureTrend& t) {
    return (t.last && t.last->turn != Turn::none) || (t.since_first && t.since_first->turn != Turn::none);
}

} // namespace

ChangesView::ChangesView(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    movement_ = new QComboBox;
    movement_->setObjectName(QStringLiteral("changeMovement"));
    movement_->setAccessibleName(tr("Movement"));
    asked_box_ = new QWidget;
    asked_ = new QVBoxLayout(asked_box_);
    asked_->setContentsMargins(4, 2, 4, 6);
    asked_->setSpacing(3);
    build_table();
    others_ = new QPushButton;
    others_->setObjectName(QStringLiteral("otherFigures"));
    others_->setCheckable(true);
    others_->setAccessibleName(tr("Figures without a change that can be told"));
    hint_ = new QLabel(tr("Smaller changes can be told from clips of the same place and side with more repetitions."));
    hint_->setObjectName(QStringLiteral("faint"));
    hint_->setWordWrap(true);
    trend_ = new TrendView(session_);
    trend_->setObjectName(QStringLiteral("changeTrend"));
    other_side_ = new QCheckBox(tr("with the other side"));
    other_side_->setObjectName(QStringLiteral("otherSide"));
    other_side_->setToolTip(tr("Left against right over the days"));
    beside_ = new QPushButton(tr("Before and after …"));
    beside_->setObjectName(QStringLiteral("beforeAfter"));
    beside_->setToolTip(tr("The first and the last clip of the line, side by side at the same moment of the movement"));
    auto* folded = new QHBoxLayout;
    folded->addWidget(others_);
    folded->addWidget(hint_, 1);
    auto* below = new QHBoxLayout;
    below->addWidget(other_side_);
    below->addStretch(1);
    below->addWidget(beside_);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(8, 8, 8, 8);
    box->addWidget(movement_);
    box->addWidget(asked_box_);
    box->addWidget(table_, 4);
    box->addLayout(folded);
    box->addWidget(trend_, 3);
    box->addLayout(below);
    connect(others_, &QPushButton::toggled, this, &ChangesView::fill);
    connect(other_side_, &QCheckBox::toggled, this, &ChangesView::show_trend);
    connect(beside_, &QPushButton::clicked, this, &ChangesView::side_by_side);
    connect(movement_, &QComboBox::currentIndexChanged, this, [this] {
        if (!filling_) fill();
    });
    connect(table_->selectionModel(), &QItemSelectionModel::currentChanged, this, &ChangesView::show_trend);
    connect(trend_, &TrendView::wanted, this, [this](qint64 clip) { session_.workspace->go(QStringLiteral("review"), {clip}); });
}

void ChangesView::build_table() {
    rows_ = new RowsModel<FigureTrend>({{tr("Figure"), [this](const FigureTrend& t) { return name_of(t, session_); }},
                                        {tr("Way"), [](const FigureTrend&) { return QString(); }},
                                        {tr("Before"), [this](const FigureTrend& t) { return figure(t, changed_from(t)); }},
                                        {tr("Now"), [this](const FigureTrend& t) { return now_of(t); }},
                                        {tr("Change"), [this](const FigureTrend& t) { return change(t); },
                                         [this](const FigureTrend& t) {
                                             if (!t.last || t.last->turn == Turn::none) return QColor();
                                             return t.last->turn == Turn::better ? session_.theme.palette.inside
                                                                                 : session_.theme.palette.outside;
                                         }}},
                                       this);
    table_ = table_of(rows_, QStringLiteral("changes"), tr("Figures and what became of them"), {0});
    table_->setItemDelegateForColumn(way_column, new WayDelegate(session_, rows_, table_));
    table_->horizontalHeader()->setSectionResizeMode(way_column, QHeaderView::Fixed);
    table_->setColumnWidth(way_column, session_.theme.wide(110));
}

QString ChangesView::figure(const FigureTrend& t, const KeptFigure* p) const {
    return p ? text::with_sigma(p->value, std::hypot(p->own, p->of_clip), QString::fromStdString(t.points.back().unit),
                                session_.settings.units(Motion{}))
             : tr("–");
}

std::string ChangesView::movement() const {
    return movement_->currentData().toString().toStdString();
}

bool ChangesView::is_of_last_clip(const FigureTrend& t) const {
    return t.points.back().day == last_day_;
}

QString ChangesView::now_of(const FigureTrend& t) const {
    return is_of_last_clip(t) ? figure(t, &t.points.back()) : tr("–");
}

QString ChangesView::change(const FigureTrend& t) const {
    if (!is_of_last_clip(t)) return tr("last told on %1: %2").arg(text::day(t.points.back().day), figure(t, &t.points.back()));
    return change_of(t, session_);
}

void ChangesView::show_sheet(const PersonSheet& sheet) {
    sheet_ = &sheet;
    filling_ = true;
    const QString had = movement_->currentData().toString();
    movement_->clear();
    std::vector<std::string> seen;
    for (const auto& t : sheet.trends) {
        const std::string& id = t.points.front().movement;
        if (std::find(seen.begin(), seen.end(), id) != seen.end()) continue;
        seen.push_back(id);
        const auto m = session_.movement(id);
        movement_->addItem(m ? said(m->name) : QString::fromStdString(id), QString::fromStdString(id));
    }
    movement_->setCurrentIndex(std::max(0, movement_->findData(had)));
    movement_->setVisible(movement_->count() > 0);
    filling_ = false;
    fill();
}

/// What changed first, then what is outside its band, from the ground up; all else where it is asked for.
void ChangesView::fill() {
    if (!sheet_) return;
    last_day_.clear();
    std::vector<const FigureTrend*> all;
    for (const auto& t : sheet_->trends)
        if (t.points.front().movement == movement()) {
            all.push_back(&t);
            last_day_ = std::max(last_day_, t.points.back().day);
        }
    const auto rank = [&](const FigureTrend* t) {
        const auto* info = session_.catalogue.find(QString::fromStdString(t->points.back().measure));
        const int first = t->last && t->last->turn != Turn::none  ? 0
                          : has_changed(*t)                       ? 1
                          : is_outside(*t) && is_of_last_clip(*t) ? 2
                          : t->last                               ? 3
                                                                  : 4;
        return first * 10 + (info ? static_cast<int>(info->family) : 9);
    };
    std::stable_sort(all.begin(), all.end(), [&](const auto* a, const auto* b) { return rank(a) < rank(b); });
    std::vector<FigureTrend> shown;
    int folded = 0;
    for (const auto* t : all) {
        if (rank(t) >= 30) ++folded;
        if (rank(t) < 30 || others_->isChecked()) shown.push_back(*t);
    }
    others_->setVisible(folded > 0);
    hint_->setVisible(folded > 0);
    others_->setText(others_->isChecked() ? tr("Fewer") : tr("%n without a change that can be told", nullptr, folded));
    rows_->set_rows(std::move(shown));
    if (rows_->rowCount() > 0) table_->setCurrentIndex(rows_->index(0, 0));
    fill_asked();
    show_trend(); // the same row may be another figure now
}

void ChangesView::fill_asked() {
    while (auto* it = asked_->takeAt(0)) {
        delete it->widget();
        delete it;
    }
    const auto asked = became_of(*sheet_, movement());
    asked_box_->setVisible(!asked.empty());
    if (asked.empty()) return;
    auto say = [&](const QString& words, const char* name, const QString& tip = {}) {
        auto* label = new QLabel(words);
        label->setObjectName(QLatin1String(name));
        label->setWordWrap(true);
        label->setToolTip(tip.toHtmlEscaped());
        asked_->addWidget(label);
    };
    say(tr("Asked on %1, and what became of it").arg(text::day(asked.front().day)), "heading");
    for (const auto& a : asked) {
        QString name = text::check_name(a.key.check, session_.catalogue);
        if (a.key.side) name += QStringLiteral(", ") + text::side(*a.key.side);
        const QString became = !a.trend ? tr("told by no clip") : !a.told_since ? tr("no clip since that tells it") : change(*a.trend);
        say(tr("%1: %2").arg(name, became), "becameOf", QString::fromStdString(a.words));
    }
}

const FigureTrend* ChangesView::chosen() const {
    return sheet_ ? rows_->at(table_->currentIndex()) : nullptr;
}

void ChangesView::show_trend() {
    const FigureTrend* t = chosen();
    const FigureTrend* other = nullptr;
    if (t && !t->points.back().side.empty())
        for (const auto& x : sheet_->trends)
            if (x.points.back().movement == t->points.back().movement && x.points.back().check == t->points.back().check &&
                !x.points.back().side.empty() && x.points.back().side != t->points.back().side)
                other = &x;
    other_side_->setEnabled(other != nullptr);
    beside_->setEnabled(t && newest_line(*t).size() > 1);
    trend_->show_trend(t ? std::optional(*t) : std::nullopt, other && other_side_->isChecked() ? std::optional(*other) : std::nullopt);
}

/// The last clip of the line with its first beside it.
void ChangesView::side_by_side() {
    const FigureTrend* t = chosen();
    if (!t) return;
    const auto& line = newest_line(*t);
    Ref ref;
    ref.clip = t->points[line.back()].clip;
    ref.beside = t->points[line.front()].clip;
    session_.workspace->go(QStringLiteral("review"), ref);
}

} // namespace bevel::ui
