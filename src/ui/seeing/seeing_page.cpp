#include "ui/seeing/seeing_page.h"
#include "core/days.h"
#include "ui/shell/flow_layout.h"
#include "ui/text/seeing_words.h"
#include <QComboBox>
#include <QInputDialog>
#include <QLabel>
#include <QMessageBox>
#include <QPushButton>
#include <QRandomGenerator>
#include <QTabWidget>
#include <QVBoxLayout>

namespace bevel::ui {

SeeingPage::SeeingPage(Session& session, QWidget* parent) : Place(session, "seeing", parent) {
    view_ = new SeeingView(session_);
    saying_ = new SayingPanel(session_, undo());
    record_ = new SeenRecord(session_);
    notice_ = new Notice;
    subject_ = new QLabel;
    subject_->setObjectName(QStringLiteral("title"));
    subject_->setWordWrap(true);
    auto* middle = new QVBoxLayout;
    middle->addWidget(subject_);
    middle->addWidget(view_, 1);
    middle->addWidget(build_player());
    saying_->setFixedWidth(std::min(session_.theme.wide(330), 400)); // the picture needs its room too
    auto* look = new QWidget;
    auto* row = new QHBoxLayout(look);
    row->setContentsMargins(4, 10, 4, 4);
    row->setSpacing(14);
    row->addLayout(middle, 1);
    row->addWidget(saying_);
    tabs_ = new QTabWidget;
    tabs_->setObjectName(QStringLiteral("seeingTabs"));
    tabs_->setAccessibleName(tr("Learning to see"));
    tabs_->addTab(look, tr("Look"));
    tabs_->addTab(record_, tr("Record"));
    auto* right = new QVBoxLayout;
    right->addWidget(tabs_, 1);
    right->addWidget(notice_);
    auto* all = new QHBoxLayout(this);
    all->setContentsMargins(20, 16, 20, 16);
    all->setSpacing(18);
    all->addWidget(build_side());
    all->addLayout(right, 1);
    connect(saying_, &SayingPanel::changed, view_, &SeeingView::set_said);
    connect(saying_, &SayingPanel::moment_wanted, this, [this](double t) {
        view_->play(false);
        view_->set_time(t);
    });
    connect(saying_, &SayingPanel::there_wanted, view_, &SeeingView::show_there);
    connect(saying_, &SayingPanel::was_told, this, &SeeingPage::keep_round);
    connect(view_, &SeeingView::moved, saying_, &SayingPanel::set_time);
    connect(view_, &SeeingView::played, this, [this](bool on) { play_->setText(on ? tr("Stop") : tr("Play")); });
    filling_ = false;
    settle();
}

void SeeingPage::build_choices() {
    const auto combo = [this](const char* name, const QString& spoken) {
        auto* c = new QComboBox;
        c->setObjectName(QLatin1String(name));
        c->setAccessibleName(spoken);
        c->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        c->setMinimumContentsLength(12);
        connect(c, &QComboBox::currentIndexChanged, this, [this] {
            if (!filling_) settle();
        });
        return c;
    };
    who_ = combo("assistant", tr("Who is looking"));
    connect(who_, &QComboBox::currentIndexChanged, this, [this] {
        if (filling_) return;
        assistant_ = who_->currentData().toLongLong();
        load_rounds();
    });
    from_ = combo("seeFrom", tr("Whose clips"));
    level_ = combo("seeLevel", tr("How hard"));
    for (int l = 0; l < seeing_levels; ++l) level_->addItem(text::seeing_level(static_cast<SeeingLevel>(l)), l);
    movement_ = combo("seeMovement", tr("Which movement"));
    level_about_ = new QLabel;
    next_words_ = new QLabel;
    next_words_->setObjectName(QStringLiteral("seeNextWords"));
    level_about_->setObjectName(QStringLiteral("faint"));
    for (auto* l : {level_about_, next_words_}) l->setWordWrap(true);
}

QWidget* SeeingPage::build_side() {
    build_choices();
    const auto button = [this](const char* name, const QString& label, std::function<void()> go) {
        auto* b = new QPushButton(label);
        b->setObjectName(QLatin1String(name));
        connect(b, &QPushButton::clicked, this, std::move(go));
        return b;
    };
    auto* add = button("addAssistant", tr("New …"), [this] { ask_name(); });
    add->setAccessibleName(tr("Somebody new who learns to see"));
    add->setEnabled(!session_.library->read_only());
    remove_ = button("removeAssistant", tr("Remove"), [this] {
        const auto sure = QMessageBox::question(this, tr("Remove who is looking"), tr("What they saw so far goes with them."));
        if (sure == QMessageBox::Yes) remove_assistant();
    });
    new_ = button("seeNew", tr("A new clip"), [this] { making_ ? stop_making() : next_clip(); });
    practise_ = button("seeNext", tr("Look at that"), [this] { practise_next(); });
    auto* side = new QWidget;
    side->setFixedWidth(session_.theme.wide(210));
    auto* box = new QVBoxLayout(side);
    box->setContentsMargins(0, 0, 0, 0);
    auto* head = new QLabel(tr("Seeing"));
    head->setObjectName(QStringLiteral("title"));
    box->addWidget(head);
    const auto field = [box](const QString& words, QWidget* w) {
        auto* label = new QLabel(words);
        label->setBuddy(w);
        box->addWidget(label);
        box->addWidget(w);
    };
    field(tr("Who is looking"), who_);
    auto* people = new FlowLayout;
    people->setSpacing(6);
    people->addWidget(add);
    people->addWidget(remove_);
    box->addLayout(people);
    field(tr("Whose clips"), from_);
    field(tr("How hard"), level_);
    box->addWidget(level_about_);
    field(tr("Which movement"), movement_);
    box->addWidget(new_);
    box->addSpacing(12);
    auto* next = new QLabel(tr("What next"));
    next->setObjectName(QStringLiteral("heading"));
    box->addWidget(next);
    box->addWidget(next_words_);
    box->addWidget(practise_);
    box->addStretch(1);
    return side;
}

QWidget* SeeingPage::build_player() {
    play_ = new QPushButton(tr("Play"));
    play_->setObjectName(QStringLiteral("seePlay"));
    play_->setToolTip(tr("Space; comma and full stop go frame by frame"));
    connect(play_, &QPushButton::clicked, this, [this] { view_->play(!view_->plays()); });
    speed_ = new QComboBox;
    speed_->setObjectName(QStringLiteral("seeSpeed"));
    speed_->setAccessibleName(tr("How fast it plays"));
    speed_->addItem(tr("as it was"), 1.0);
    speed_->addItem(tr("half as fast"), 0.5);
    speed_->addItem(tr("a quarter as fast"), 0.25);
    connect(speed_, &QComboBox::currentIndexChanged, this, [this] { view_->set_speed(speed_->currentData().toDouble()); });
    auto* box = new QWidget;
    box->setObjectName(QStringLiteral("inCard"));
    auto* row = new FlowLayout;
    row->setSpacing(6);
    row->addWidget(play_);
    row->addWidget(speed_);
    box->setLayout(row);
    return box;
}

void SeeingPage::open(Ref) {
    setFocus();
    load();
}

void SeeingPage::load() {
    struct All {
        std::vector<Assistant> assistants;
        std::vector<Clip> clips;
    };
    const int run = ++loading_;
    session_.background->run<Result<All>>(
        this,
        [lib = session_.library, forms = session_.forms(), day = today()](std::stop_token) -> Result<All> {
            auto who = lib->seeing().assistants();
            if (!who) return tl::unexpected(who.error());
            auto clips = clips_to_see(*lib, forms, day);
            if (!clips) return tl::unexpected(clips.error());
            return All{std::move(*who), std::move(*clips)};
        },
        [this, run](const Result<All>& all) {
            if (run != loading_) return;
            if (!all) return notice_->problem(text::error(all.error()));
            filling_ = true;
            fill_clips(all->clips);
            fill_assistants(all->assistants);
            filling_ = false;
            load_rounds();
        });
}

void SeeingPage::fill_assistants(const std::vector<Assistant>& all) {
    const bool first = assistants_.empty();
    assistants_ = all;
    who_->clear();
    who_->addItem(tr("nobody: keep no record"), 0);
    for (const auto& a : all) who_->addItem(QString::fromStdString(a.name), static_cast<qint64>(a.id));
    int at = who_->findData(static_cast<qint64>(assistant_));
    if (first && assistant_ == 0 && all.size() == 1) at = 1; // who else
    who_->setCurrentIndex(std::max(0, at));
    assistant_ = who_->currentData().toLongLong();
}

void SeeingPage::fill_clips(const std::vector<Clip>& clips) {
    clips_ = clips;
    const int from = std::max(0, from_->currentIndex());
    from_->clear();
    from_->addItem(tr("a virtual student's"));
    from_->addItem(tr("of the library (%1)").arg(clips.size()));
    from_->setItemData(1, tr("Clips of people who agreed in People that assistants learn from them"), Qt::ToolTipRole);
    from_->setCurrentIndex(clips.empty() ? 0 : from);
    // What may no longer be seen is not seen any longer.
    const bool gone =
        clip_ && clip_->kept && std::none_of(clips.begin(), clips.end(), [&](const Clip& c) { return c.id == clip_->kept->open->clip.id; });
    if (gone) show_clip(nullptr);
    const QString movement = movement_->currentData().toString();
    movement_->clear();
    movement_->addItem(tr("any"), QString());
    std::vector<std::pair<QString, QString>> all;
    for (const auto& m : *session_.movements.now())
        if (!m.checks.empty()) all.emplace_back(said(m.name), QString::fromStdString(m.id));
    std::sort(all.begin(), all.end(), [](const auto& a, const auto& b) { return QString::localeAwareCompare(a.first, b.first) < 0; });
    for (const auto& [name, id] : all) movement_->addItem(name, id);
    movement_->setCurrentIndex(std::max(0, movement_->findData(movement)));
}

void SeeingPage::load_rounds() {
    const int run = ++reading_;
    session_.background->run<Result<std::vector<SeenRound>>>(
        this, [lib = session_.library, who = assistant_](std::stop_token) { return lib->seeing().rounds(who); },
        [this, run](const Result<std::vector<SeenRound>>& rounds) {
            if (run != reading_) return;
            if (!rounds) return notice_->problem(text::error(rounds.error()));
            rounds_ = *rounds;
            next_ = next_of(rounds_);
            record_->show_rounds(rounds_);
            settle();
            emit filled();
        });
}

void SeeingPage::settle() {
    const bool kept = from_->currentIndex() == 1;
    new_->setEnabled(making_ || !kept || !clips_.empty());
    new_->setText(making_ ? tr("Stop making it") : tr("A new clip"));
    practise_->setEnabled(!making_);
    level_->setEnabled(!kept);
    remove_->setEnabled(assistant_ != 0 && !session_.library->read_only());
    level_about_->setText(kept ? tr("What is there is what their reviews say: what you set aside there counts for nothing here.")
                               : text::seeing_level_about(static_cast<SeeingLevel>(level_->currentData().toInt())));
    next_words_->setText(assistant_ == 0 ? tr("Say who is looking: then what they see is kept, and what they should look at most is told.")
                                         : text::see_next(next_));
    if (kept && clips_.empty())
        level_about_->setText(tr("Nobody agreed yet that assistants learn from their clips: that is said in People, under Person."));
    subject_->setText(clip_ ? text::movement(clip_->review().movement) : tr("Learning to see"));
}

void SeeingPage::next_clip(std::uint64_t seed) {
    if (making_) return;
    if (from_->currentIndex() == 1) return open_kept();
    ExerciseWish wish;
    wish.level = static_cast<SeeingLevel>(level_->currentData().toInt());
    wish.seed = seed != 0 ? seed : QRandomGenerator::global()->generate64();
    make(wish, movement_->currentData().toString());
}

void SeeingPage::practise_next() {
    if (making_) return;
    filling_ = true;
    from_->setCurrentIndex(0);
    level_->setCurrentIndex(static_cast<int>(next_.level));
    filling_ = false;
    ExerciseWish wish;
    wish.level = next_.level;
    wish.seed = QRandomGenerator::global()->generate64();
    wish.rule = next_.rule, wish.view = next_.view;
    make(wish, {});
}

void SeeingPage::stop_making() {
    made_.request_stop();
    ++run_; // whatever still comes of it
    making_ = false;
    settle();
}

void SeeingPage::make(const ExerciseWish& wish, const QString& movement) {
    const int run = ++run_;
    making_ = true;
    made_ = {};
    settle();
    notice_->say({});
    std::shared_ptr<const std::vector<Movement>> all = session_.movements.now();
    maker_.run<Result<Exercise>>(
        this,
        [all, wish, id = movement.toStdString(), asked = made_.get_token()](const std::stop_token& closing) -> Result<Exercise> {
            std::stop_source either;
            const auto end = [&either] { either.request_stop(); };
            const std::stop_callback by_closing(closing, end), by_hand(asked, end);
            const std::stop_token stop = either.get_token();
            std::vector<Movement> these;
            for (const auto& m : *all)
                if (!m.checks.empty() && (id.empty() || m.id == id)) these.push_back(m);
            auto made = make_exercise(these, wish, stop);
            if (made || made.error().code == Code::cancelled || (wish.rule.empty() && !wish.view)) return made;
            // From that side none shows it: from another, then whatever there is.
            ExerciseWish wider = wish;
            wider.view.reset();
            made = make_exercise(these, wider, stop);
            if (made || made.error().code == Code::cancelled) return made;
            wider.rule.clear();
            return make_exercise(these, wider, stop);
        },
        [this, run](Result<Exercise> made) {
            if (run != run_) return;
            making_ = false;
            settle();
            if (!made) return refused(made.error());
            auto clip = std::make_shared<ClipSeen>();
            clip->student = made->student();
            clip->exercise = std::move(*made);
            show_clip(std::move(clip));
        });
}

/// The one that was seen longest ago, or never.
void SeeingPage::open_kept() {
    if (clips_.empty()) return;
    const auto last_seen = [this](const Clip& c) {
        const auto at = std::find_if(rounds_.begin(), rounds_.end(), [&](const SeenRound& r) { return r.clip == c.id; });
        return rounds_.end() - at; // 0: never; the newest most
    };
    const QString movement = movement_->currentData().toString();
    std::vector<Clip> these;
    for (const auto& c : clips_)
        if (movement.isEmpty() || QString::fromStdString(c.movement) == movement) these.push_back(c);
    std::stable_sort(these.begin(), these.end(), [&](const Clip& a, const Clip& b) { return last_seen(a) < last_seen(b); });
    if (clip_ && clip_->kept && these.size() > 1) std::erase_if(these, [&](const Clip& c) { return c.id == clip_->kept->open->clip.id; });
    if (these.empty()) return notice_->problem(tr("None of these clips shows that movement."));
    const int run = ++run_;
    making_ = true;
    settle();
    session_.background->run<Result<ClipToSee>>(
        this,
        [lib = session_.library, forms = session_.forms(), these, day = today()](std::stop_token) -> Result<ClipToSee> {
            Result<ClipToSee> last = fail(Code::cannot_judge, "exercise");
            for (const auto& c : these)
                if ((last = clip_to_see(*lib, forms, c.id, day))) break;
            return last;
        },
        [this, run](Result<ClipToSee> seen) {
            if (run != run_) return;
            making_ = false;
            settle();
            if (!seen) return refused(seen.error());
            auto clip = std::make_shared<ClipSeen>();
            clip->kept = std::move(*seen);
            show_clip(std::move(clip));
        });
}

void SeeingPage::refused(const Error& e) {
    if (e.code == Code::cannot_judge && e.context == "exercise")
        return notice_->problem(tr("No such clip could be made: choose another movement, or another hardness."));
    if (e.code == Code::cannot_judge && e.context == "consent")
        return notice_->problem(tr("Its person no longer agrees that assistants learn from it."));
    notice_->problem(text::error(e));
}

void SeeingPage::show_clip(std::shared_ptr<const ClipSeen> clip) {
    clip_ = std::move(clip);
    view_->show_clip(clip_);
    saying_->show_clip(clip_);
    tabs_->setCurrentIndex(0);
    notice_->say({});
    settle();
    emit clip_shown();
}

void SeeingPage::keep_round(const SeenCount& count, const std::vector<Said>& said) {
    if (assistant_ == 0 || session_.library->read_only()) return;
    SeenRound round = round_of(count, said, clip_->truth(), clip_->review().movement);
    round.assistant = assistant_;
    round.day = today();
    round.view = clip_->view();
    if (clip_->exercise) {
        round.level = clip_->exercise->level;
        round.seed = clip_->exercise->seed;
    } else {
        round.clip = clip_->kept->open->clip.id;
    }
    session_.background->run<Result<std::int64_t>>(
        this, [lib = session_.library, round](std::stop_token) { return lib->seeing().keep_round(round); },
        [this](const Result<std::int64_t>& id) {
            if (!id) return notice_->problem(text::error(id.error()));
            load_rounds();
        });
}

void SeeingPage::ask_name() {
    bool ok = false;
    const QString name =
        QInputDialog::getText(this, tr("Somebody new who learns to see"), tr("Name"), QLineEdit::Normal, {}, &ok).trimmed();
    if (ok && !name.isEmpty()) add_assistant(name);
}

void SeeingPage::add_assistant(const QString& name) {
    session_.background->run<Result<std::int64_t>>(
        this, [lib = session_.library, a = Assistant{0, name.toStdString()}](std::stop_token) { return lib->seeing().keep(a); },
        [this](const Result<std::int64_t>& id) {
            if (!id)
                return notice_->problem(id.error().code == Code::bad_value
                                            ? tr("Somebody of that name is there already, or the name is too long.")
                                            : text::error(id.error()));
            notice_->say({});
            assistant_ = *id;
            load();
        });
}

void SeeingPage::remove_assistant() {
    if (assistant_ == 0) return;
    session_.background->run<Result<bool>>(
        this, [lib = session_.library, id = assistant_](std::stop_token) { return lib->seeing().drop(id); },
        [this](const Result<bool>& ok) {
            if (!ok) return notice_->problem(text::error(ok.error()));
            assistant_ = 0;
            load();
        });
}

void SeeingPage::add_actions(Actions& actions) {
    using M = Actions::Menu;
    actions.add(this, M::clip, "seeNewAction", tr("Look at a new clip"), {QKeySequence(Qt::Key_F8)}, [this] { next_clip(); });
    actions.add(this, M::view, "seePlayAction", tr("Play the clip, or stop it"), {QKeySequence(Qt::Key_Space)},
                [this] { view_->play(!view_->plays()); });
    actions.add(this, M::view, "seeBackAction", tr("One frame back"), {QKeySequence(Qt::Key_Comma)}, [this] { view_->step(-1); });
    actions.add(this, M::view, "seeOnAction", tr("One frame on"), {QKeySequence(Qt::Key_Period)}, [this] { view_->step(1); });
    for (int f = 0; f < family_count; ++f)
        actions.add(this, M::view, ("seeFamily" + std::to_string(f + 1)).c_str(),
                    tr("What can be said of: %1").arg(text::family(static_cast<Family>(f))), {QKeySequence(Qt::Key_1 + f)},
                    [this, f] { saying_->go_to(f); });
    actions.add(this, M::edit, "saidEarlierAction", tr("Say this earlier"), {QKeySequence(Qt::ALT | Qt::Key_Up)},
                [this] { saying_->move_said(-1); });
    actions.add(this, M::edit, "saidLaterAction", tr("Say this later"), {QKeySequence(Qt::ALT | Qt::Key_Down)},
                [this] { saying_->move_said(1); });
    actions.add(this, M::edit, "saidOutAction", tr("Do not say this"), {QKeySequence::Delete}, [this] { saying_->take_out(); });
}

} // namespace bevel::ui
