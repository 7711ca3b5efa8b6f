#include "ui/arrivals/parts_dialog.h"
#include "core/review/in_turn.h"
#include "core/review/parts.h"
#include "ui/text/data_words.h"
#include <QComboBox>
#include <QDialogButtonBox>
#include <QInputDialog>
#include <QLabel>
#include <QPushButton>
#include <QShortcut>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {

class PartsStep : public QUndoCommand {
public:
    using Apply = std::function<void(const std::vector<StripPart>&, int)>;
    PartsStep(const QString& what, Apply apply, std::vector<StripPart> before, int was, std::vector<StripPart> after, int now)
        : apply_(std::move(apply)), before_(std::move(before)), after_(std::move(after)), was_(was), now_(now) {
        setText(what);
    }
    void redo() override { apply_(after_, now_); }
    void undo() override { apply_(before_, was_); }

private:
    Apply apply_;
    std::vector<StripPart> before_, after_;
    int was_, now_;
};

} // namespace

PartsDialog::PartsDialog(Session& session, const ClipRow& row, QWidget* parent) : QDialog(parent), session_(session), row_(row) {
    setObjectName(QStringLiteral("partsDialog"));
    setWindowTitle(tr("Cut into parts: %1").arg(QString::fromStdString(row.clip.person != 0 ? row.person.name : row.clip.named)));
    resize(session_.theme.wide(920), session_.theme.wide(620));
    picture_ = new QLabel;
    picture_->setAlignment(Qt::AlignCenter);
    picture_->setMinimumHeight(session_.theme.wide(220));
    picture_->setAccessibleName(tr("The frame at the mark"));
    strip_ = new PartsStrip(session_);
    words_ = new QLabel(tr("Looking for the parts …"));
    words_->setWordWrap(true);
    movement_ = new QComboBox;
    movement_->setObjectName(QStringLiteral("partMovement"));
    movement_->setAccessibleName(tr("Movement of the chosen part"));
    movement_->addItem(tr("as the clip shows"), QString());
    for (const auto& m : session_.movements.all()) movement_->addItem(said(m.name), QString::fromStdString(m.id));
    person_ = new QComboBox;
    person_->setObjectName(QStringLiteral("partPerson"));
    person_->setAccessibleName(tr("Who practises the chosen part"));
    person_->setSizeAdjustPolicy(QComboBox::AdjustToContents);
    person_->addItem(row.clip.person != 0 && !row.person.name.empty() ? QString::fromStdString(row.person.name) : tr("whoever it is"),
                     qint64{0});
    auto* row_of = new QHBoxLayout;
    auto tool = [&](const char* name, const QString& label, const QKeySequence& key, auto go) {
        auto* b = new QPushButton(label);
        b->setObjectName(QLatin1String(name));
        b->setToolTip(tr("%1 (%2)").arg(label, key.toString(QKeySequence::NativeText)));
        b->setAutoDefault(false);
        b->setFocusPolicy(Qt::TabFocus);
        connect(b, &QPushButton::clicked, this, go);
        connect(new QShortcut(key, this), &QShortcut::activated, this, go);
        row_of->addWidget(b);
        tools_ << b;
    };
    tool("split", tr("Split here"), Qt::Key_S, [this] { split(); });
    tool("merge", tr("Merge with the next"), Qt::Key_M, [this] { merge(); });
    tool("removePart", tr("Leave out"), Qt::Key_Delete, [this] { remove(); });
    tool("beginHere", tr("Begin here"), Qt::Key_BracketLeft, [this] { edge_here(false); });
    tool("endHere", tr("End here"), Qt::Key_BracketRight, [this] { edge_here(true); });
    tool("byPerson", tr("One a person"), Qt::Key_P, [this] { by_person(); });
    tool("namesInTurn", tr("Names in turn …"), Qt::Key_N, [this] { ask_names(); });
    tool("undoPart", tr("Undo"), QKeySequence::Undo, [this] { undo_.undo(); });
    tool("redoPart", tr("Redo"), QKeySequence::Redo, [this] { undo_.redo(); });
    row_of->addStretch(1);
    auto* which = new QHBoxLayout;
    which->addWidget(new QLabel(tr("The chosen part shows")));
    which->addWidget(movement_);
    which->addWidget(new QLabel(tr("by", "who practises the part")));
    which->addWidget(person_);
    which->addStretch(1);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Cancel);
    cut_ = buttons->addButton(tr("Cut"), QDialogButtonBox::AcceptRole);
    cut_->setObjectName(QStringLiteral("cut"));
    cut_->setDefault(true);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(buttons, &QDialogButtonBox::accepted, this, [this] {
        emit cut(strip_->parts());
        accept();
    });
    auto* box = new QVBoxLayout(this);
    box->addWidget(picture_, 1);
    box->addWidget(strip_);
    box->addLayout(row_of);
    box->addLayout(which);
    box->addWidget(words_);
    box->addWidget(buttons);
    connect(strip_, &PartsStrip::moved_to, this, &PartsDialog::show_frame);
    connect(strip_, &PartsStrip::asked, this,
            [this](const std::vector<StripPart>& parts, int chosen) { change(tr("the edge of a part"), parts, chosen); });
    connect(strip_, &PartsStrip::chosen_changed, this, [this] { settle(); });
    connect(movement_, &QComboBox::activated, this, [this] {
        auto parts = strip_->parts();
        if (strip_->chosen() < 0) return;
        parts[static_cast<std::size_t>(strip_->chosen())].movement = movement_->currentData().toString().toStdString();
        change(tr("the movement of a part"), parts, strip_->chosen());
    });
    connect(person_, &QComboBox::activated, this, [this] {
        auto parts = strip_->parts();
        if (strip_->chosen() < 0) return;
        parts[static_cast<std::size_t>(strip_->chosen())].person = person_->currentData().toLongLong();
        change(tr("who practises a part"), parts, strip_->chosen());
    });
    settle();
    load();
}

void PartsDialog::load() {
    film_ = std::make_shared<ClipFilm>(ClipFilm{session_.library->clips().path_of(row_.clip), std::nullopt});
    struct Loaded {
        double duration = 0;
        std::vector<StripPart> parts, whole, turns;
        std::vector<Person> people;
        QString problem;
    };
    session_.background->run<Loaded>(
        this,
        [lib = session_.library, film = film_, clip = row_.clip, movements = session_.movements.now()](std::stop_token) {
            Loaded l;
            auto track = lib->tracks().load(clip.id);
            if (!track || track->frames() == 0) {
                l.problem = text::error(track ? Error{Code::not_found, "track"} : track.error());
                return l;
            }
            l.duration = track->time_s.back();
            // Parts of the whole file are looked for, whatever was left out before; other parts of it stay what they are.
            const auto from = track->layers.trim_from_s, to = track->layers.trim_to_s;
            l.whole = {{from.value_or(0), to.value_or(l.duration), clip.movement, 0}};
            if (!clip.is_part()) track->layers.trim_from_s.reset(), track->layers.trim_to_s.reset();
            ReviewOptions o;
            o.mirrored = clip.mirrored;
            for (const auto& p : suggest_parts(*track, *movements, o)) l.parts.push_back({p.from_s, p.to_s, p.movement, 0});
            for (const auto& t : people_in_turn(*track)) l.turns.push_back({t.from_s, t.to_s, clip.movement, 0});
            if (auto people = lib->people().all()) l.people = std::move(*people);
            (void)film->open();
            return l;
        },
        [this](Loaded l) {
            if (!l.problem.isEmpty()) return words_->setText(l.problem);
            strip_->show_clip(l.duration);
            strip_->set_parts(l.whole, 0);
            suggested_ = l.parts;
            turns_ = std::move(l.turns);
            people_ = std::move(l.people);
            for (const auto& p : people_) person_->addItem(QString::fromStdString(p.name), static_cast<qint64>(p.id));
            strip_->name_people(people_);
            if (!l.parts.empty() && l.parts != l.whole) change(tr("what is suggested"), l.parts, 0);
            strip_->set_at(strip_->parts().front().from_s);
            settle();
            strip_->setFocus();
            emit ready();
            // Thumbnails one after the other, while the dialog is used.
            for (int i = 0; i < PartsStrip::thumbnails; ++i)
                session_.background->run<QImage>(
                    this, [film = film_, t = (i + 0.5) / PartsStrip::thumbnails * l.duration](std::stop_token) { return film->at(t, 160); },
                    [this, i](const QImage& im) { strip_->set_thumbnail(i, im); });
        });
}

void PartsDialog::show_frame(double t) {
    const int run = ++picture_run_;
    session_.background->run<QImage>(
        this, [film = film_, t](std::stop_token) { return film->at(t, 640); },
        [this, run](const QImage& im) {
            if (run != picture_run_ || im.isNull()) return;
            shown_run_ = run;
            picture_->setPixmap(QPixmap::fromImage(im.scaled(picture_->size(), Qt::KeepAspectRatio, Qt::SmoothTransformation)));
        });
    settle();
}

bool PartsDialog::complete() const {
    return strip_->complete() && shown_run_ == picture_run_;
}

void PartsDialog::change(const QString& what, std::vector<StripPart> parts, int chosen) {
    undo_.push(new PartsStep(
        what,
        [this](const std::vector<StripPart>& p, int c) {
            strip_->set_parts(p, c);
            settle();
        },
        strip_->parts(), strip_->chosen(), std::move(parts), chosen));
}

void PartsDialog::split() {
    auto parts = strip_->parts();
    const double t = strip_->at();
    for (std::size_t i = 0; i < parts.size(); ++i) {
        if (t - parts[i].from_s < 1 || parts[i].to_s - t < 1) continue; // neither half would be a part
        StripPart rest = parts[i];
        parts[i].to_s = rest.from_s = t;
        parts.insert(parts.begin() + static_cast<std::ptrdiff_t>(i) + 1, rest);
        return change(tr("a split"), parts, static_cast<int>(i) + 1);
    }
}

void PartsDialog::merge() {
    auto parts = strip_->parts();
    const auto i = static_cast<std::size_t>(std::max(0, strip_->chosen()));
    if (i + 1 >= parts.size()) return;
    parts[i].to_s = parts[i + 1].to_s;
    parts.erase(parts.begin() + static_cast<std::ptrdiff_t>(i) + 1);
    change(tr("a merge"), parts, static_cast<int>(i));
}

void PartsDialog::remove() {
    auto parts = strip_->parts();
    if (parts.size() < 2) return; // something has to be left
    parts.erase(parts.begin() + strip_->chosen());
    change(tr("a part left out"), parts, strip_->chosen());
}

void PartsDialog::edge_here(bool end) {
    auto parts = strip_->parts();
    const auto i = static_cast<std::size_t>(std::max(0, strip_->chosen()));
    if (i >= parts.size()) return;
    const double t = strip_->at();
    auto& p = parts[i];
    const bool fits = end ? t - p.from_s >= 1 && (i + 1 == parts.size() || t <= parts[i + 1].from_s)
                          : p.to_s - t >= 1 && (i == 0 || t >= parts[i - 1].to_s);
    if (!fits) return words_->setText(tr("A part is at least a second long and does not reach into the next."));
    (end ? p.to_s : p.from_s) = t;
    change(tr("the edge of a part"), parts, strip_->chosen());
}

/// One part for each who is there, one after the other; what each of them shows is told by the clip.
void PartsDialog::by_person() {
    if (turns_.size() < 2) return;
    change(tr("one part a person"), turns_, 0);
}

void PartsDialog::ask_names() {
    bool ok = false;
    const QString lines =
        QInputDialog::getMultiLineText(this, tr("Names in turn"), tr("Who practised, in the order of the film, a name a line"), {}, &ok);
    if (ok) name_in_turn(lines);
}

void PartsDialog::name_in_turn(const QString& lines) {
    const auto ids = people_named(people_, lines.toStdString());
    auto parts = strip_->parts();
    QStringList said = lines.split(QLatin1Char('\n')), unknown;
    said.removeIf([](const QString& s) { return s.trimmed().isEmpty(); });
    for (std::size_t i = 0; i < ids.size(); ++i) {
        if (ids[i] == 0) unknown << said.value(static_cast<int>(i)).trimmed();
        if (i < parts.size()) parts[i].person = ids[i];
    }
    if (parts != strip_->parts()) change(tr("names in turn"), parts, strip_->chosen());
    QStringList words;
    if (!unknown.isEmpty()) words << tr("Not found, or more than one is called so: %1.").arg(unknown.join(QStringLiteral(", ")));
    if (ids.size() != parts.size())
        words << tr("%1 names for %2 parts: look whether each stands at its own.").arg(ids.size()).arg(parts.size());
    if (!words.isEmpty()) words_->setText(words.join(QLatin1Char(' ')));
}

void PartsDialog::settle() {
    const auto n = static_cast<int>(strip_->parts().size());
    const int chosen = strip_->chosen();
    cut_->setEnabled(n > 0);
    cut_->setText(n > 1 ? tr("Cut into %n clips", nullptr, n) : tr("Keep this stretch"));
    if (chosen >= 0 && chosen < n)
        movement_->setCurrentIndex(
            std::max(0, movement_->findData(QString::fromStdString(strip_->parts()[static_cast<std::size_t>(chosen)].movement))));
    if (chosen >= 0 && chosen < n)
        person_->setCurrentIndex(
            std::max(0, person_->findData(static_cast<qint64>(strip_->parts()[static_cast<std::size_t>(chosen)].person))));
    movement_->setEnabled(n > 0);
    person_->setEnabled(n > 0);
    if (n == 0) return;
    words_->setText(suggested_.empty() ? tr("Nothing of what Bevel knows was recognised in it. Set the edges by hand.")
                                       : tr("%n part(s) suggested; what is veiled is left out. Drag the edges, or use the keys.", nullptr,
                                            static_cast<int>(suggested_.size())));
    for (auto* b : tools_) {
        if (b->objectName() == QLatin1String("merge")) b->setEnabled(chosen >= 0 && chosen + 1 < n);
        if (b->objectName() == QLatin1String("removePart")) b->setEnabled(n > 1);
        if (b->objectName() == QLatin1String("byPerson")) b->setEnabled(turns_.size() > 1);
        if (b->objectName() == QLatin1String("undoPart")) b->setEnabled(undo_.canUndo());
        if (b->objectName() == QLatin1String("redoPart")) b->setEnabled(undo_.canRedo());
    }
}

} // namespace bevel::ui
