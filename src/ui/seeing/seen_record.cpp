#include "ui/seeing/seen_record.h"
#include "ui/text/data_words.h"
#include "ui/text/seeing_words.h"
#include <QLabel>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {
QString so_many(int n) {
    return n == 0 ? QStringLiteral("–") : QString::number(n);
}
QString of_them(int right, int of) {
    return of == 0 ? QStringLiteral("–") : SeenRecord::tr("%1 of %2", "counts").arg(right).arg(of);
}
} // namespace

SeenRecord::SeenRecord(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    sum_ = new QLabel;
    sum_->setObjectName(QStringLiteral("seenSum"));
    sum_->setWordWrap(true);
    auto* about =
        new QLabel(tr("What to look at, and from where. What is at the edge, or cannot be told from a side, counts for nothing."));
    about->setObjectName(QStringLiteral("faint"));
    about->setWordWrap(true);
    tallies_ = new RowsModel<SeenTally>({{tr("What"),
                                          [](const SeenTally& t) {
                                              const Rule* rule = rule_book().find(t.rule);
                                              return rule ? said(rule->name) : QString::fromStdString(t.rule);
                                          }},
                                         {tr("From where"), [](const SeenTally& t) { return text::view(t.view); }},
                                         {tr("Found"), [](const SeenTally& t) { return of_them(t.found, t.there); }},
                                         {tr("Said, not there"), [](const SeenTally& t) { return so_many(t.invented); }},
                                         {tr("Right side"), [](const SeenTally& t) { return of_them(t.sides_right, t.sides); }},
                                         {tr("Right moment"), [](const SeenTally& t) { return of_them(t.moments_right, t.moments); }}});
    rounds_ = new RowsModel<SeenRound>(
        {{tr("Day"), [](const SeenRound& r) { return text::day(r.day); }},
         {tr("Movement"),
          [this](const SeenRound& r) {
              const auto m = session_.movement(r.movement);
              return m ? said(m->name) : QString::fromStdString(r.movement);
          }},
         {tr("From where"), [](const SeenRound& r) { return text::view(r.view); }},
         {tr("How hard"), [](const SeenRound& r) { return r.level ? text::seeing_level(*r.level) : SeenRecord::tr("of the library"); }},
         {tr("Seen"), [](const SeenRound& r) { return text::seen_round(r); }}});
    auto* by_rule = table_of(tallies_, QStringLiteral("seenTallies"), tr("By what is to be seen, and from where"), {0});
    auto* by_clip = table_of(rounds_, QStringLiteral("seenRounds"), tr("Clip by clip"), {1, 4});
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(4, 10, 4, 4);
    all->addWidget(sum_);
    all->addWidget(about);
    all->addWidget(by_rule, 3);
    all->addWidget(by_clip, 2);
}

void SeenRecord::show_rounds(const std::vector<SeenRound>& rounds) {
    sum_->setText(text::seen_sum(sum_of(rounds)));
    tallies_->set_rows(tallies(rounds));
    rounds_->set_rows(rounds);
}

} // namespace bevel::ui
