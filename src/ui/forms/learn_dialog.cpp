#include "ui/forms/learn_dialog.h"
#include "core/ground/derive.h"
#include "desk/open_review.h"
#include "ui/forms/learn_words.h"
#include "ui/shell/left_edit.h"
#include "ui/shell/step.h"
#include "ui/text/data_words.h"
#include <QComboBox>
#include <QFormLayout>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPainter>
#include <QPushButton>
#include <QShortcut>
#include <QTableWidget>
#include <QVBoxLayout>
#include <set>

namespace bevel::ui {
namespace {

/// The clip's body put on the ground and measured.
Result<std::shared_ptr<const ShownClip>> load_shown(const Library& lib, const Forms& forms, const ClipRow& row) {
    auto track = lib.tracks().load(row.clip.id);
    if (!track) return tl::unexpected(track.error());
    track->layers.mirrored = row.clip.mirrored;
    const auto options = review_options(forms, row.clip, row.person);
    MotionOptions o;
    o.view = options.view;
    if (row.person.id != 0) o.stature_m = options.stature_m;
    o.shoulder_width_m = options.shoulder_width_m;
    auto motion = make_motion(*track, o);
    if (!motion) return tl::unexpected(motion.error());
    auto out = std::make_shared<ShownClip>();
    out->row = row;
    auto measures = measure(*motion);
    out->evidence = std::make_shared<const Evidence>(Evidence{std::move(*motion), std::move(measures)});
    out->track = drawn_points(*track);
    return std::shared_ptr<const ShownClip>(out);
}

/// What cannot be, in words.
QString why_not(const Error& e) {
    if (e.context == "home") return LearnDialog::tr("The repetition must end as it began: move its end to where the feet are back.");
    if (e.context == "both_feet") return LearnDialog::tr("Both feet are off the floor at the end of a phase: move that border.");
    if (e.context == "step") return LearnDialog::tr("A foot steps within a phase: put a border where it is in the air.");
    if (e.context == "layout") return LearnDialog::tr("At least two phases are needed, one after the other.");
    if (e.context == "stretch") return LearnDialog::tr("A repetition is at least a second long.");
    if (e.context == "no_repetition")
        return LearnDialog::tr("No repetition was found in these clips: set its beginning and end by hand, or lay it out on another clip.");
    return text::error(e);
}

} // namespace

LearnDialog::LearnDialog(Session& session, qint64 clip, QWidget* parent) : QDialog(parent), session_(session), first_(clip) {
    setObjectName(QStringLiteral("learnDialog"));
    setWindowTitle(tr("A movement from clips"));
    resize(session_.theme.wide(1180), session_.theme.wide(720));
    build();
    load_list();
    settle();
}

QWidget* LearnDialog::build_clips() {
    auto* side = new QWidget;
    search_ = new QLineEdit;
    search_->setObjectName(QStringLiteral("learnSearch"));
    search_->setPlaceholderText(tr("Search clips"));
    search_->setAccessibleName(tr("Search clips"));
    search_->setClearButtonEnabled(true);
    list_ = new QListWidget;
    list_->setObjectName(QStringLiteral("learnClips"));
    list_->setAccessibleName(tr("Clips that show it"));
    list_->setWordWrap(true);
    auto* heading = new QLabel(tr("Clips that show it"));
    heading->setObjectName(QStringLiteral("heading"));
    auto* hint = new QLabel(tr("Tick all that are meant to be as it should be; one of them is laid out."));
    hint->setObjectName(QStringLiteral("faint"));
    hint->setWordWrap(true);
    auto* box = new QVBoxLayout(side);
    box->setContentsMargins(0, 0, 0, 0);
    box->addWidget(heading);
    box->addWidget(hint);
    box->addWidget(search_);
    box->addWidget(list_, 1);
    connect(search_, &QLineEdit::textChanged, this, [this](const QString& words) {
        for (int i = 0; i < list_->count(); ++i) {
            auto* it = list_->item(i);
            it->setHidden(it->checkState() != Qt::Checked && !it->text().contains(words, Qt::CaseInsensitive));
        }
    });
    connect(list_, &QListWidget::currentItemChanged, this, [this](const QListWidgetItem* it) {
        if (it && !filling_) show_clip(it->data(Qt::UserRole).toLongLong());
    });
    connect(list_, &QListWidget::itemChanged, this, [this] {
        result_.reset();
        settle();
    });
    return side;
}

QWidget* LearnDialog::build_middle() {
    auto* middle = new QWidget;
    picture_ = new QLabel;
    picture_->setAlignment(Qt::AlignCenter);
    picture_->setMinimumSize(session_.theme.wide(300), session_.theme.wide(200));
    picture_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Ignored);
    picture_->setAccessibleName(tr("The frame at the mark"));
    strip_ = new LayoutStrip(session_);
    connect(strip_, &LayoutStrip::moved_to, this, &LearnDialog::show_frame);
    connect(strip_, &LayoutStrip::chosen_changed, this, [this](int b) {
        const QSignalBlocker quiet(phases_);
        phases_->setCurrentCell(std::max(0, b), 0);
    });
    connect(strip_, &LayoutStrip::asked, this, [this](int b, double t) {
        Layout l = layout_;
        (b < 0 ? l.from_s : l.phases[static_cast<std::size_t>(b)].end_s) = t;
        change(tr("a border moved"), l);
    });
    auto* tools = new QHBoxLayout;
    tools->setSpacing(4);
    auto tool = [&](const char* name, const QString& label, const QKeySequence& key, const QString& tip, auto go) {
        auto* b = new QPushButton(label);
        b->setObjectName(QLatin1String(name));
        b->setToolTip(tr("%1 (%2)").arg(tip, key.toString(QKeySequence::NativeText)));
        b->setAutoDefault(false);
        connect(b, &QPushButton::clicked, this, go);
        auto* s = new QShortcut(key, strip_);
        s->setContext(Qt::WidgetShortcut);
        connect(s, &QShortcut::activated, this, go);
        tools->addWidget(b);
        tools_ << b;
    };
    tool("beginHere", tr("Begins"), Qt::Key_BracketLeft, tr("The repetition begins at the mark"), [this] { edge_here(false); });
    tool("endHere", tr("Ends"), Qt::Key_BracketRight, tr("The repetition ends at the mark"), [this] { edge_here(true); });
    tool("borderHere", tr("Border"), Qt::Key_B, tr("A border between phases at the mark"), [this] { border_here(); });
    tool("borderOut", tr("Join"), Qt::Key_Delete, tr("The chosen phase and the next become one"), [this] { take_border_out(); });
    tool("phasesAgain", tr("Phases again"), Qt::Key_P, tr("Phases of this stretch from what happens in it"), [this] { propose(true); });
    tool("undoLayout", tr("Undo"), QKeySequence::Undo, tr("Take the last step back"), [this] { undo_.undo(); });
    tool("redoLayout", tr("Redo"), QKeySequence::Redo, tr("Do it again"), [this] { undo_.redo(); });
    tools->addStretch(1);
    phases_ = new QTableWidget(0, 4);
    phases_->setObjectName(QStringLiteral("laidPhases"));
    phases_->setAccessibleName(tr("Phases"));
    phases_->setHorizontalHeaderLabels({tr("Phase"), tr("Role"), tr("Stance"), tr("s")});
    phases_->verticalHeader()->setDefaultSectionSize(session_.theme.wide(30));
    phases_->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
    for (const int c : {1, 2, 3}) phases_->horizontalHeader()->setSectionResizeMode(c, QHeaderView::ResizeToContents);
    phases_->setSelectionBehavior(QAbstractItemView::SelectRows);
    connect(phases_, &QTableWidget::currentCellChanged, this, [this](int row) {
        if (filling_ || row < 0 || row >= static_cast<int>(layout_.phases.size())) return;
        strip_->choose(row);
        strip_->set_at(layout_.phases[static_cast<std::size_t>(row)].end_s);
    });
    connect(phases_, &QTableWidget::cellChanged, this, [this](int row) {
        if (!filling_) phase_edited(row);
    });
    auto* box = new QVBoxLayout(middle);
    box->setContentsMargins(0, 0, 0, 0);
    box->addWidget(picture_, 5);
    box->addWidget(strip_);
    box->addLayout(tools);
    box->addWidget(phases_, 4);
    return middle;
}

QWidget* LearnDialog::build_side() {
    auto* side = new QWidget;
    name_ = new QLineEdit;
    name_->setObjectName(QStringLiteral("learnName"));
    name_->setPlaceholderText(tr("as students know it"));
    kind_ = new QComboBox;
    kind_->setObjectName(QStringLiteral("learnKind"));
    std::set<std::string> kinds;
    for (const auto& m : session_.movements.all()) kinds.insert(m.kind);
    for (const auto& k : kinds) kind_->addItem(said(k), QString::fromStdString(k));
    like_ = new QComboBox;
    like_->setObjectName(QStringLiteral("learnLike"));
    like_->setToolTip(tr("What the clips cannot show, such as breath, is taken from it"));
    like_->addItem(tr("none: from nothing"), QString());
    for (const auto& m : session_.movements.all()) like_->addItem(said(m.name), QString::fromStdString(m.id));
    like_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    like_->setMinimumContentsLength(14);
    lead_ = new QComboBox;
    lead_->setObjectName(QStringLiteral("learnLead"));
    lead_->addItem(tr("the left"), 0);
    lead_->addItem(tr("the right"), 1);
    lead_->addItem(tr("both sides alike"), 2);
    attention_ = new LeftEdit;
    attention_->setObjectName(QStringLiteral("learnAttention"));
    attention_->setTabChangesFocus(true);
    attention_->setFixedHeight(session_.theme.wide(84));
    attention_->setPlaceholderText(tr("A line each"));
    words_ = new QLabel;
    words_->setObjectName(QStringLiteral("faint"));
    words_->setWordWrap(true);
    words_->setTextInteractionFlags(Qt::TextSelectableByMouse);
    words_->setAlignment(Qt::AlignTop);
    learn_ = new QPushButton(tr("Learn it"));
    learn_->setObjectName(QStringLiteral("learnNow"));
    learn_->setAutoDefault(false);
    keep_ = new QPushButton(tr("Keep it among the forms"));
    keep_->setObjectName(QStringLiteral("primary"));
    keep_->setAutoDefault(false);
    auto* close = new QPushButton(tr("Close"));
    close->setAutoDefault(false);
    auto* form = new QFormLayout;
    form->setRowWrapPolicy(QFormLayout::WrapAllRows);
    form->addRow(tr("Name"), name_);
    form->addRow(tr("Kind"), kind_);
    form->addRow(tr("Nearest movement"), like_);
    form->addRow(tr("Led by"), lead_);
    form->addRow(tr("Points of attention"), attention_);
    auto* box = new QVBoxLayout(side);
    box->setContentsMargins(0, 0, 0, 0);
    box->addLayout(form);
    box->addWidget(learn_);
    box->addWidget(words_, 1);
    box->addWidget(keep_);
    box->addWidget(close);
    connect(name_, &QLineEdit::textChanged, this, &LearnDialog::settle);
    connect(like_, &QComboBox::currentIndexChanged, this, [this] {
        if (filling_) return;
        if (const auto m = like()) {
            kind_->setCurrentIndex(std::max(0, kind_->findData(QString::fromStdString(m->kind))));
            if (name_->text().isEmpty()) name_->setText(tr("%1, my way").arg(said(m->name)));
        }
        propose(false);
    });
    connect(lead_, &QComboBox::currentIndexChanged, this, [this] {
        if (filling_) return;
        Layout l = layout_;
        const int i = lead_->currentData().toInt();
        l.alike = i == 2;
        l.lead = i == 1 ? Side::right : Side::left;
        change(tr("the leading side"), l);
    });
    connect(learn_, &QPushButton::clicked, this, &LearnDialog::learn_now);
    connect(keep_, &QPushButton::clicked, this, [this] {
        if (!result_) return;
        emit learned(name_->text().trimmed(), result_->movement.id, result_->text, shown_);
        accept();
    });
    connect(close, &QPushButton::clicked, this, &QDialog::reject);
    return side;
}

void LearnDialog::build() {
    auto* clips = build_clips();
    auto* middle = build_middle();
    auto* side = build_side();
    clips->setFixedWidth(session_.theme.wide(230));
    side->setFixedWidth(session_.theme.wide(270));
    auto* all = new QHBoxLayout(this);
    all->setSpacing(14);
    all->addWidget(clips);
    all->addWidget(middle, 1);
    all->addWidget(side);
    connect(&undo_, &QUndoStack::indexChanged, this, &LearnDialog::settle);
}

void LearnDialog::load_list() {
    session_.background->run<Result<std::vector<ClipRow>>>(
        this,
        [lib = session_.library](std::stop_token) -> Result<std::vector<ClipRow>> {
            auto clips = lib->clips().find({});
            if (!clips) return tl::unexpected(clips.error());
            auto people = lib->people().all();
            if (!people) return tl::unexpected(people.error());
            std::vector<ClipRow> rows;
            for (auto& c : *clips) {
                if (c.state == ClipState::waiting || c.state == ClipState::failed) continue;
                ClipRow row{c, {}};
                for (const auto& p : *people)
                    if (p.id == c.person) row.person = p;
                rows.push_back(std::move(row));
            }
            return rows;
        },
        [this](const Result<std::vector<ClipRow>>& rows) { rows ? show_list(*rows) : say(text::error(rows.error()), true); });
}

void LearnDialog::show_list(const std::vector<ClipRow>& rows) {
    filling_ = true;
    int at = -1;
    for (const auto& row : rows) {
        const auto m = session_.movement(row.clip.movement);
        const QString who = row.person.id != 0 ? QString::fromStdString(row.person.name) : QString::fromStdString(row.clip.named);
        const QString day = text::day(row.clip.filmed_on);
        auto* it = new QListWidgetItem(tr("%1\n%2 %3").arg(who, m ? said(m->name) : tr("movement not said"), day), list_);
        it->setData(Qt::UserRole, static_cast<qint64>(row.clip.id));
        it->setFlags(it->flags() | Qt::ItemIsUserCheckable);
        it->setCheckState(row.clip.id == first_ ? Qt::Checked : Qt::Unchecked);
        if (row.clip.id == first_) at = list_->count() - 1;
        rows_[row.clip.id] = row;
    }
    filling_ = false;
    if (rows.empty()) return say(tr("There is no clip yet in which the body was found. Take one in at Arrivals first."));
    say(tr("Tick the clips, and choose the one on which a repetition is laid out."));
    if (at >= 0) list_->setCurrentRow(at);
}

std::vector<qint64> LearnDialog::checked() const {
    std::vector<qint64> out;
    for (int i = 0; i < list_->count(); ++i)
        if (list_->item(i)->checkState() == Qt::Checked) out.push_back(list_->item(i)->data(Qt::UserRole).toLongLong());
    return out;
}

std::shared_ptr<const Movement> LearnDialog::like() const {
    return session_.movement(like_->currentData().toString().toStdString());
}

/// A clip to lay the repetition out on.
void LearnDialog::show_clip(qint64 id) {
    const auto it = rows_.find(id);
    if (it == rows_.end() || id == shown_ || busy_) return;
    busy_ = true;
    say(tr("Opening …"));
    settle();
    session_.background->run<Result<std::shared_ptr<const ShownClip>>>(
        this,
        [lib = session_.library, forms = session_.forms(), row = it->second](std::stop_token) { return load_shown(*lib, forms, row); },
        [this, id](const Result<std::shared_ptr<const ShownClip>>& c) {
            busy_ = false;
            if (!c) {
                say(text::error(c.error()), true);
                return settle();
            }
            clips_[id] = *c;
            shown_ = id;
            for (int i = 0; i < list_->count(); ++i)
                if (list_->item(i)->data(Qt::UserRole).toLongLong() == id) {
                    list_->setCurrentRow(i);
                    list_->item(i)->setCheckState(Qt::Checked);
                }
            film_ = std::make_shared<ClipFilm>(ClipFilm{session_.library->clips().path_of((*c)->row.clip), std::nullopt});
            strip_->show_clip((*c)->evidence);
            undo_.clear();
            layout_ = {};
            filling_ = true;
            if (!like() && !(*c)->row.clip.movement.empty())
                like_->setCurrentIndex(std::max(0, like_->findData(QString::fromStdString((*c)->row.clip.movement))));
            if (const auto m = like()) {
                kind_->setCurrentIndex(std::max(0, kind_->findData(QString::fromStdString(m->kind))));
                if (name_->text().isEmpty()) name_->setText(tr("%1, my way").arg(said(m->name)));
            }
            filling_ = false;
            propose(false);
        });
}

/// Phases from the nearest movement, else from the clip's own events; in the stretch that stands, or in the first that comes home.
void LearnDialog::propose(bool keep_stretch) {
    const auto it = clips_.find(shown_);
    if (it == clips_.end() || busy_) return;
    busy_ = true;
    settle();
    const auto m = keep_stretch ? nullptr : like();
    session_.background->run<Result<Layout>>(
        this,
        [clip = it->second, like = m ? std::optional<Movement>(*m) : std::nullopt,
         stretch = keep_stretch && !layout_.phases.empty() ? std::optional(std::pair(layout_.from_s, layout_.to_s()))
                                                           : std::nullopt](std::stop_token) -> Result<Layout> {
            const Motion& motion = clip->evidence->motion;
            const Measures& measures = clip->evidence->measures;
            if (like) {
                const Reference reference(*like, motion.stature);
                const auto a = align(motion, measures, Form{{{&reference.model(), std::nullopt}}});
                if (a)
                    if (auto l = layout_like(*like, *a)) return l;
            }
            if (stretch) return propose_layout(motion, measures, stretch->first, stretch->second);
            const auto found = propose_stretch(motion);
            if (!found) return tl::unexpected(found.error());
            return propose_layout(motion, measures, found->first, found->second);
        },
        [this, from_it = m != nullptr](Result<Layout> l) {
            busy_ = false;
            if (!l) {
                say(why_not(l.error()), true);
                // Something to start from by hand.
                if (layout_.phases.empty()) {
                    const double end = clips_[shown_]->evidence->motion.time_s.back();
                    Layout whole;
                    whole.from_s = 0.1 * end;
                    whole.phases = {{"1", "", "", "", 0.5 * end}, {"2", "", "", "", 0.9 * end}};
                    change(tr("a layout"), whole);
                }
            } else {
                // Roles are said in the reader's words where the phases have no names of their own.
                if (!from_it)
                    for (auto& p : l->phases) {
                        const auto space = p.name.find(' ');
                        p.name = text::role(p.role).toStdString() + (space == std::string::npos ? "" : p.name.substr(space));
                    }
                change(tr("what is suggested"), *l);
                strip_->choose(-1);
                strip_->set_at(l->from_s);
                say(tr("One repetition is laid out. Look at its borders, name the phases, then learn it."));
            }
            settle();
            emit laid();
        });
}

void LearnDialog::show_frame(double t) {
    const int run = ++picture_run_;
    const auto it = clips_.find(shown_);
    if (it == clips_.end()) return;
    session_.files().run<QImage>(
        this,
        [film = film_, clip = it->second, t, theme = session_.theme](std::stop_token) {
            QImage im = film->at(t, 0);
            const auto& ts = clip->track.time_s;
            const auto i =
                std::min<std::size_t>(static_cast<std::size_t>(std::lower_bound(ts.begin(), ts.end(), t) - ts.begin()), ts.size() - 1);
            if (im.isNull() || !clip->track.px[i]) return im;
            im = im.convertToFormat(QImage::Format_RGB32);
            QPainter p(&im);
            p.setRenderHint(QPainter::Antialiasing);
            draw_body(
                p, *clip->track.px[i], Family::feet, [](double x, double y) { return QPointF(x, y); }, theme, im.width() / 400.0);
            p.end();
            const QRectF crop = crop_of(clip->track, 1.5);
            return im.copy(crop.toAlignedRect().intersected(im.rect()));
        },
        [this, run](const QImage& im) {
            if (run != picture_run_) return;
            painted_run_ = run;
            if (im.isNull()) return picture_->setText(tr("This frame cannot be shown."));
            picture_->setPixmap(QPixmap::fromImage(im.scaled(picture_->size(), Qt::KeepAspectRatio, Qt::SmoothTransformation)));
        });
}

void LearnDialog::learn_now() {
    if (busy_ || shown_ == 0) return;
    std::vector<ClipRow> rows{rows_[shown_]}; // the one that is laid out comes first
    for (const auto id : checked())
        if (id != shown_) rows.push_back(rows_[id]);
    // An id of its own that nothing else has.
    std::string id;
    for (const QChar c : name_->text().normalized(QString::NormalizationForm_KD).toLower()) {
        if (c.unicode() < 128 && c.isLetterOrNumber())
            id += static_cast<char>(c.unicode());
        else if (!id.empty() && id.back() != '_' && c.category() != QChar::Mark_NonSpacing)
            id += '_';
    }
    id = "own_" + (id.empty() ? std::string("movement") : id);
    const std::string base = id;
    for (int n = 2; session_.movement(id); ++n) id = base + "_" + std::to_string(n);
    LearnOptions o;
    o.id = id;
    o.name = name_->text().trimmed().toStdString();
    o.kind = kind_->currentData().toString().toStdString();
    const auto nearest = like();
    if (nearest) o.about = nearest->about;
    for (const QString& line : attention_->toPlainText().split(QLatin1Char('\n')))
        if (!line.trimmed().isEmpty() && o.attention.size() < 20) o.attention.push_back(line.trimmed().left(300).toStdString());
    if (nearest && o.attention.empty()) o.attention = nearest->attention;
    o.reason = tr("as it was shown").toStdString();
    busy_ = true;
    say(tr("Learning …"));
    settle();
    session_.files().run<Result<Learned>>(
        this,
        [lib = session_.library, forms = session_.forms(), rows, layout = layout_, o,
         nearest = nearest ? std::optional<Movement>(*nearest) : std::nullopt](const std::stop_token& stop) mutable -> Result<Learned> {
            std::vector<std::shared_ptr<const ShownClip>> clips;
            std::vector<Showing> showings;
            for (const auto& row : rows) {
                if (stop.stop_requested()) return fail(Code::cancelled, "");
                auto c = load_shown(*lib, forms, row);
                if (!c) return tl::unexpected(c.error());
                clips.push_back(*c);
                // By its day and side: a movement is carried to others, and outlives whoever is erased.
                const std::string day = row.clip.filmed_on.empty() ? row.clip.arrived_on : row.clip.filmed_on;
                showings.push_back({day + ", " + std::string(view_name(clips.back()->evidence->motion.view)),
                                    &clips.back()->evidence->motion, &clips.back()->evidence->measures});
            }
            layout.showing = 0;
            if (nearest) o.like = &*nearest;
            return learn(showings, layout, o);
        },
        [this](Result<Learned> l) {
            busy_ = false;
            if (!l) {
                say(why_not(l.error()), true);
            } else {
                const LearnedWords words = learned_words(*l, session_.catalogue);
                result_ = std::move(*l);
                say(words.lines.join(QLatin1Char('\n')), words.to_look_at);
            }
            settle();
            emit laid();
        });
}

void LearnDialog::say(const QString& words, bool problem) {
    words_->setObjectName(problem ? QStringLiteral("problem") : QStringLiteral("faint"));
    words_->style()->unpolish(words_);
    words_->style()->polish(words_);
    words_->setText(words);
}

void LearnDialog::settle() {
    const bool laid = !layout_.phases.empty() && !busy_;
    for (auto* b : tools_) {
        b->setEnabled(laid);
        if (b->objectName() == QLatin1String("undoLayout")) b->setEnabled(laid && undo_.canUndo());
        if (b->objectName() == QLatin1String("redoLayout")) b->setEnabled(laid && undo_.canRedo());
    }
    lead_->setEnabled(laid);
    list_->setEnabled(!busy_);
    like_->setEnabled(!busy_ && shown_ != 0);
    learn_->setEnabled(laid && !name_->text().trimmed().isEmpty());
    learn_->setToolTip(name_->text().trimmed().isEmpty() ? tr("It needs a name first") : QString());
    keep_->setEnabled(!busy_ && result_.has_value() && !session_.library->read_only());
}

} // namespace bevel::ui
