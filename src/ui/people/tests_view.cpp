#include "ui/people/tests_view.h"
#include "core/days.h"
#include "ui/shell/day_edit.h"
#include "ui/shell/flow_layout.h"
#include "ui/shell/workspace.h"
#include "ui/text/test_words.h"
#include <QComboBox>
#include <QDialog>
#include <QDialogButtonBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QTableView>

namespace bevel::ui {

TestsView::TestsView(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    test_ = new QComboBox;
    test_->setObjectName(QStringLiteral("quietTest"));
    test_->setAccessibleName(tr("Which test"));
    for (const auto t : text::quiet_tests) test_->addItem(text::quiet_test(t), static_cast<int>(t));
    connect(test_, &QComboBox::currentIndexChanged, this, [this] { fill(); });
    clip_ = new QComboBox;
    clip_->setObjectName(QStringLiteral("quietTestClip"));
    clip_->setAccessibleName(tr("Which clip shows it"));
    clip_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    clip_->setMinimumContentsLength(18);
    const auto button = [this](const char* name, const QString& label, std::function<void()> go) {
        auto* b = new QPushButton(label);
        b->setObjectName(QLatin1String(name));
        connect(b, &QPushButton::clicked, this, std::move(go));
        return b;
    };
    take_ = button("quietTestTake", tr("Take it from this clip"), [this] { take_from(clip_->currentData().toLongLong()); });
    type_ = button("quietTestType", tr("Type it in …"), [this] { type_in(); });
    drop_ = button("quietTestDrop", tr("Take out"), [this] {
        if (const Line* l = rows_->at(table_->currentIndex()); l && l->test) emit unwanted(*l->test);
    });
    drop_->setToolTip(tr("The newest test that tells the chosen figure"));
    own_up_ = button("quietTestOwn", tr("Take it up as this person's own"), [this] { take_up(); });
    own_up_->setToolTip(tr("Clips are held against it from now on; nothing is taken up by itself"));
    advice_ = new QLabel;
    advice_->setObjectName(QStringLiteral("ladderAdvice"));
    advice_->setWordWrap(true);
    step_ = button("ladderTake", tr("Take that step"), [this] { emit step_wanted(ladder_.step); });
    trend_ = new TrendView(session_);
    trend_->setObjectName(QStringLiteral("testTrend"));
    connect(trend_, &TrendView::wanted, this, [this](qint64 test) {
        for (const auto& t : tests_)
            if (t.id == test && t.clip != 0) session_.workspace->go(QStringLiteral("review"), {static_cast<qint64>(t.clip)});
    });
    set_up_ = new QLabel;
    set_up_->setWordWrap(true);
    set_up_->setObjectName(QStringLiteral("quietTestSetUp"));
    not_when_ = new QLabel(text::quiet_test_not_when());
    not_when_->setWordWrap(true);
    not_when_->setObjectName(QStringLiteral("faint"));
    rows_ = new RowsModel<Line>(
        {{tr("Figure"), [](const Line& l) { return text::test_figure(l.trend->points.back().check, l.trend->points.back().side); }},
         {tr("Newest"),
          [](const Line& l) {
              const auto& p = l.trend->points.back();
              return text::test_value(p.value, p.own, p.unit);
          }},
         {tr("Day"), [](const Line& l) { return text::day(l.trend->points.back().day); }},
         {tr("Against the one before"),
          [](const Line& l) {
              const KeptFigure* from = changed_from(*l.trend);
              return from && l.trend->last ? text::test_change(*l.trend->last, *from) : tr("the first of its kind");
          }},
         {tr("How"), [](const Line& l) {
              QStringList words;
              if (l.test) {
                  words << (l.test->view.empty() ? tr("typed in")
                                                 : tr("filmed, %1").arg(text::view(view_from_name(l.test->view).value_or(View::front))));
                  for (const auto& n : l.test->notes) words << text::test_note(n);
                  if (!l.test->words.empty()) words << QString::fromStdString(l.test->words);
              }
              return words.join(QStringLiteral("; "));
          }}});
    table_ = table_of(rows_, QStringLiteral("quietTests"), tr("Figures of the test"), {3, 4});
    table_->setWordWrap(true);
    table_->verticalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    clip_->setMinimumWidth(session_.theme.wide(300));
    auto* top = new FlowLayout;
    top->setSpacing(6);
    for (QWidget* w : std::initializer_list<QWidget*>{test_, clip_, take_, type_, drop_, own_up_}) top->addWidget(w);
    auto* advice = new QHBoxLayout;
    advice->addWidget(advice_, 1);
    advice->addWidget(step_);
    notice_ = new Notice;
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(4, 10, 4, 4);
    all->addLayout(top);
    all->addWidget(set_up_);
    all->addWidget(not_when_);
    all->addLayout(advice);
    all->addWidget(table_, 3);
    all->addWidget(trend_, 2);
    all->addWidget(notice_);
    connect(table_->selectionModel(), &QItemSelectionModel::currentRowChanged, this, [this](const QModelIndex& i) {
        drop_->setEnabled(i.isValid() && !session_.library->read_only());
        show_trend();
    });
}

QuietTest TestsView::chosen() const {
    return static_cast<QuietTest>(test_->currentData().toInt());
}

void TestsView::show_sheet(const PersonSheet& sheet) {
    rows_->set_rows({}); // they point into what is replaced
    if (person_ != sheet.person.id) notice_->say({});
    person_ = sheet.person.id;
    tests_ = sheet.tests;
    own_ = sheet.person.neutral;
    ladder_ = ladder_advice(tests_, sheet.facts.balance_step);
    trends_ = test_trends(tests_);
    clip_->clear();
    for (const auto& l : sheet.record)
        if (l.what == RecordLine::What::clip && l.clip != 0) {
            const auto m = session_.movement(l.movement);
            clip_->addItem(tr("%1, %2", "day, movement").arg(text::day(l.day), m ? said(m->name) : QString::fromStdString(l.movement)),
                           static_cast<qint64>(l.clip));
        }
    fill();
}

void TestsView::fill() {
    const std::string name(quiet_test_name(chosen()));
    std::vector<Line> lines;
    for (const auto& t : trends_) {
        if (t.points.empty() || t.points.back().movement != name) continue;
        Line l{&t, nullptr};
        for (const auto& k : tests_)
            if (k.id == t.points.back().clip) l.test = &k;
        lines.push_back(l);
    }
    rows_->set_rows({});
    rows_->set_rows(std::move(lines));
    set_up_->setText(text::quiet_test_set_up(chosen()));
    const bool writes = !session_.library->read_only();
    take_->setEnabled(writes && !taking_ && clip_->count() > 0);
    type_->setEnabled(writes && person_ != 0 && !figures_to_type(chosen()).empty());
    type_->setToolTip(figures_to_type(chosen()).empty() ? tr("Sway is not seen by eye: film it") : QString());
    if (rows_->rowCount() > 0 && !table_->currentIndex().isValid()) table_->selectRow(0);
    drop_->setEnabled(writes && table_->currentIndex().isValid());
    own_up_->setVisible(tells_own(chosen()));
    own_up_->setEnabled(writes && newest());
    const QString words = chosen() == QuietTest::one_leg_stand ? text::ladder_advice(ladder_) : QString();
    advice_->setText(words);
    advice_->setVisible(!words.isEmpty());
    step_->setVisible(!words.isEmpty());
    step_->setEnabled(writes);
    show_trend();
}

const KeptTest* TestsView::newest() const {
    const KeptTest* last = nullptr;
    for (const auto& t : tests_)
        if (t.test == chosen()) last = &t;
    return last;
}

/// The chosen figure over the days, with the other side where it has one.
void TestsView::show_trend() {
    const Line* l = rows_->at(table_->currentIndex());
    if (!l || !l->trend) return trend_->show_trend(std::nullopt);
    const auto& of = l->trend->points.back();
    std::optional<FigureTrend> other;
    for (const auto& t : trends_)
        if (const auto& p = t.points.back(); p.movement == of.movement && p.check == of.check && p.view == of.view && p.side != of.side &&
                                             !p.side.empty() && !of.side.empty())
            other = t;
    trend_->show_trend(*l->trend, other);
}

void TestsView::take_up() {
    const KeptTest* test = newest();
    if (!test || !tells_own(test->test)) return;
    session_.files().run<Result<PersonNeutral>>(
        this,
        [lib = session_.library, forms = session_.forms(), test = *test, own = own_](std::stop_token) {
            return own_from_test(*lib, forms, test, own);
        },
        [this, person = person_, before = own_, kind = test->test](const Result<PersonNeutral>& after) {
            if (person != person_) return; // another one is shown
            if (!after)
                return notice_->problem(after.error().code == Code::cannot_judge ? text::quiet_test_refused(kind, after.error().context)
                                                                                 : text::error(after.error()));
            if (neutral_text(*after) == neutral_text(before))
                return notice_->say(tr("Nothing in it can be taken up: a range needs both sides, or it is taken up already."));
            notice_->say(tr("Taken up. It stands under “What is right for …” and can be undone."));
            emit own_wanted(*after);
        });
}

void TestsView::changed(const Result<bool>& ok) {
    if (!ok)
        return notice_->problem(ok.error().code == Code::cannot_judge ? text::quiet_test_refused(chosen(), ok.error().context)
                                                                      : text::error(ok.error()));
    notice_->say({});
    emit kept();
}

void TestsView::take_from(qint64 clip) {
    taking_ = true;
    fill();
    session_.files().run<Result<bool>>(
        this,
        [lib = session_.library, forms = session_.forms(), clip, test = chosen()](std::stop_token) -> Result<bool> {
            const auto taken = test_of_clip(*lib, forms, clip, test);
            if (!taken) return tl::unexpected(taken.error());
            KeptTest t = *taken;
            // The same clip taken again stands for what it told before.
            const auto before = lib->quiet_tests().of(t.person);
            if (!before) return tl::unexpected(before.error());
            for (const auto& k : *before)
                if (k.clip == t.clip && k.test == t.test) t.id = k.id, t.words = k.words;
            return lib->quiet_tests().keep(t).map([](std::int64_t) { return true; });
        },
        [this](const Result<bool>& ok) {
            taking_ = false;
            fill();
            changed(ok);
        });
}

void TestsView::keep(const KeptTest& test) {
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, test](std::stop_token) { return lib->quiet_tests().keep(test).map([](std::int64_t) { return true; }); },
        [this](const Result<bool>& ok) { changed(ok); });
}

void TestsView::drop(std::int64_t id) {
    session_.background->run<Result<bool>>(
        this, [lib = session_.library, id](std::stop_token) { return lib->quiet_tests().drop(id); },
        [this](const Result<bool>& ok) { changed(ok); });
}

void TestsView::type_in() {
    auto* dialog = new QDialog(this);
    dialog->setObjectName(QStringLiteral("quietTestDialog"));
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowTitle(text::quiet_test(chosen()));
    auto* form = new QFormLayout;
    auto* day = new DayEdit;
    day->setObjectName(QStringLiteral("testDay"));
    day->setAccessibleName(tr("Day"));
    day->setMaximumDate(QDate::currentDate());
    form->addRow(tr("Day"), day);
    std::vector<std::pair<TestFigure, QDoubleSpinBox*>> fields;
    for (const auto& f : figures_to_type(chosen())) {
        auto* box = new QDoubleSpinBox;
        const QString label = text::test_figure(f.id, f.side ? std::string(side_name(*f.side)) : std::string());
        box->setObjectName(QStringLiteral("test_") + QString::fromStdString(f.id) +
                           (f.side ? QString::fromLatin1(side_name(*f.side).data()) : QString()));
        box->setAccessibleName(label);
        box->setDecimals(f.unit.empty() ? 0 : 1);
        box->setRange(-1, f.id == "time" ? one_leg_most_s : 600);
        box->setSpecialValueText(tr("not done"));
        box->setValue(-1);
        if (!f.unit.empty()) box->setSuffix(QLatin1Char(' ') + QString::fromStdString(f.unit));
        form->addRow(label, box);
        fields.emplace_back(f, box);
    }
    auto* words = new QLineEdit;
    words->setObjectName(QStringLiteral("testWords"));
    words->setAccessibleName(tr("Words"));
    words->setMaxLength(400);
    form->addRow(tr("Words"), words);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    buttons->button(QDialogButtonBox::Ok)->setText(tr("Keep"));
    connect(buttons, &QDialogButtonBox::rejected, dialog, &QDialog::reject);
    connect(buttons, &QDialogButtonBox::accepted, dialog, [this, dialog, day, fields, words] {
        KeptTest t;
        t.person = person_, t.test = chosen();
        t.day = day->date().toString(Qt::ISODate).toStdString();
        t.words = words->text().trimmed().toStdString();
        for (auto [f, box] : fields)
            if (box->value() >= 0) f.value = box->value(), t.figures.push_back(f);
        if (t.figures.empty()) return; // nothing was said yet
        dialog->accept();
        keep(t);
    });
    auto* all = new QVBoxLayout(dialog);
    all->addLayout(form);
    all->addWidget(buttons);
    dialog->open();
}

} // namespace bevel::ui
