#include "ui/arrivals/evening_view.h"
#include "core/judge/finding_key.h"
#include "desk/letter.h"
#include "ui/pictures/stills.h"
#include "ui/shell/workspace.h"
#include <cmath>
#include <QDate>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {
QDate date_of(const std::string& iso) {
    return QDate::fromString(QString::fromStdString(iso), Qt::ISODate);
}
} // namespace

EveningView::EveningView(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    title_ = new QLabel;
    title_->setObjectName(QStringLiteral("eveningCount"));
    left_ = new QLabel;
    left_->setObjectName(QStringLiteral("faint"));
    begin_ = new QPushButton(tr("Begin"));
    begin_->setObjectName(QStringLiteral("beginEvening"));
    begin_->setToolTip(tr("F6 opens the next one, from anywhere"));
    list_ = new QListWidget;
    list_->setObjectName(QStringLiteral("evening"));
    list_->setAccessibleName(tr("Clips that wait"));
    list_->setWordWrap(true);
    list_->setSpacing(3);
    stills_ = new ListStills(session_, 72, this);
    list_->setIconSize(stills_->size());
    connect(stills_, &ListStills::found, this, [this](qint64 clip) {
        const QSignalBlocker quiet(list_);
        for (int i = 0; i < list_->count(); ++i)
            if (list_->item(i)->data(Qt::UserRole).toLongLong() == clip) list_->item(i)->setData(Qt::DecorationRole, stills_->of(clip));
    });
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    none_ = new QLabel(tr("Nobody waits. Drop clips anywhere; once the body was found in them they stand here, the longest wait first."));
    none_->setObjectName(QStringLiteral("faint"));
    none_->setWordWrap(true);
    none_->setAlignment(Qt::AlignCenter);
    due_title_ = new QLabel(tr("Asked for a new clip, and none came"));
    due_title_->setObjectName(QStringLiteral("heading"));
    due_ = new QListWidget;
    due_->setObjectName(QStringLiteral("due"));
    due_->setAccessibleName(due_title_->text());
    due_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    due_->setMaximumHeight(110);
    auto* top = new QHBoxLayout;
    auto* words = new QVBoxLayout;
    words->setSpacing(0);
    words->addWidget(title_);
    words->addWidget(left_);
    left_->setWordWrap(true);
    top->addLayout(words, 1);
    top->addWidget(begin_);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(8, 8, 8, 8);
    box->addLayout(top);
    box->addWidget(list_, 1);
    box->addWidget(none_, 1);
    box->addWidget(due_title_);
    box->addWidget(due_);
    connect(begin_, &QPushButton::clicked, this, &EveningView::open_current);
    connect(list_, &QListWidget::itemActivated, this,
            [this](const QListWidgetItem* it) { open(it->data(Qt::UserRole).toLongLong(), it->data(Qt::UserRole + 1).toBool()); });
    connect(list_, &QListWidget::currentItemChanged, this, &EveningView::current_changed);
    connect(due_, &QListWidget::itemActivated, this,
            [this](const QListWidgetItem* it) { emit person(it->data(Qt::UserRole).toLongLong()); });
    connect(session_.evening, &Evening::changed, this, &EveningView::fill);
    fill();
}

void EveningView::open_current() {
    const auto* it = list_->currentItem() ? list_->currentItem() : list_->item(0);
    if (it) open(it->data(Qt::UserRole).toLongLong(), it->data(Qt::UserRole + 1).toBool());
}

void EveningView::open(qint64 clip, bool unnamed_clip) {
    if (unnamed_clip) return emit unnamed(clip);
    session_.evening->begun(clip);
    session_.workspace->go(QStringLiteral("review"), {clip});
}

qint64 EveningView::current() const {
    return list_->currentItem() ? list_->currentItem()->data(Qt::UserRole).toLongLong() : 0;
}

/// Who, what, since when.
QString EveningView::line_of(const Waiting& w, const QDate& today) const {
    const auto m = session_.movement(w.movement);
    const int days = static_cast<int>(date_of(w.arrived_on).daysTo(today));
    const QString since = !date_of(w.arrived_on).isValid() ? QString()
                          : days <= 0                      ? tr("came today")
                          : days == 1                      ? tr("since yesterday")
                                                           : tr("waits for %n day(s)", nullptr, days);
    if (w.unnamed) return tr("Whose is it? · %1").arg(since);
    QStringList words{QString::fromStdString(w.name), m ? said(m->name) : QString::fromStdString(w.movement), since};
    const auto& all = session_.evening->all();
    const auto same = std::count_if(all.begin(), all.end(), [&](const Waiting& x) { return same_visit(w, x); });
    if (same > 1) words << tr("one of %1 of this visit").arg(same);
    return words.join(QStringLiteral(" · "));
}

QString EveningView::asked_of(const Waiting& w) const {
    if (w.unnamed) return tr("person and movement are yet to be said");
    QStringList asked;
    for (const auto& text : w.asked) {
        const FindingKey key = FindingKey::read(text);
        QString words = text::check_name(key.check, session_.catalogue);
        if (key.side) words += QStringLiteral(", ") + text::side(*key.side);
        asked << words;
    }
    return asked.isEmpty() ? tr("nothing was asked before")
                           : tr("asked on %1: %2").arg(text::day(w.asked_on), asked.join(QStringLiteral("; ")));
}

void EveningView::fill() {
    const Evening& e = *session_.evening;
    const auto count = static_cast<int>(e.all().size());
    title_->setText(count == 1 ? tr("One clip waits") : tr("%1 clips wait").arg(count));
    const int minutes = static_cast<int>(std::ceil(e.minutes_each() * count));
    left_->setText(count == 0       ? QString()
                   : e.knows_pace() ? tr("about %n minute(s) at your pace", nullptr, minutes)
                                    : tr("about %n minute(s), at three for a letter", nullptr, minutes));
    begin_->setEnabled(count > 0);
    list_->setVisible(count > 0);
    none_->setVisible(count == 0);
    const qint64 chosen = current();
    {
        const QSignalBlocker quiet(list_);
        list_->clear();
        const QDate today = QDate::currentDate();
        for (const auto& w : e.all()) {
            auto* it = new QListWidgetItem(line_of(w, today) + QLatin1Char('\n') + asked_of(w), list_);
            it->setData(Qt::UserRole, static_cast<qint64>(w.clip));
            it->setData(Qt::UserRole + 1, w.unnamed);
            it->setData(Qt::DecorationRole, stills_->of(w.clip));
            if (list_->count() == 1) it->setFont(session_.theme.font(12, QFont::DemiBold)); // the next one
            if (w.clip == chosen) list_->setCurrentItem(it);
        }
        if (!list_->currentItem() && list_->count() > 0) list_->setCurrentRow(0);
    }
    emit current_changed();
    due_->clear();
    for (const auto& l : e.due()) {
        const auto m = session_.movement(l.movement);
        auto* it = new QListWidgetItem(
            tr("%1 · %2 · by %3")
                .arg(QString::fromStdString(l.name), m ? said(m->name) : QString::fromStdString(l.movement), text::day(l.review_on)),
            due_);
        it->setData(Qt::UserRole, static_cast<qint64>(l.person));
    }
    due_->setVisible(due_->count() > 0);
    due_title_->setVisible(due_->count() > 0);
    QList<qint64> clips;
    for (const auto& w : e.all()) clips << w.clip;
    stills_->look_for(clips);
}

} // namespace bevel::ui
