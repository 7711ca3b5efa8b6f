// What a clip tells of itself, shown to be confirmed: whose it is, what it shows, whether it was sent before.
#include "core/review/free.h"
#include "ui/arrivals/clip_form.h"
#include "ui/jobs/jobs.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFileInfo>
#include <QLineEdit>
#include <QRegularExpression>

namespace bevel::ui {
namespace {

QString percent(double p) {
    return QLocale().toString(std::min(99.0, std::round(100 * p)), 'f', 0);
}

} // namespace

/// Buttons of the guesses of whose clip it is.
void ClipForm::build_whose() {
    whose_ = new QWidget;
    whose_->setObjectName(QStringLiteral("inCard"));
    auto* buttons = new QVBoxLayout(whose_);
    buttons->setContentsMargins(0, 0, 0, 0);
    buttons->setSpacing(3);
    twice_ = new QWidget;
    twice_->setObjectName(QStringLiteral("inCard"));
    auto* same = new QVBoxLayout(twice_);
    same->setContentsMargins(0, 0, 0, 0);
    same->setSpacing(3);
    twice_words_ = new QLabel;
    twice_words_->setWordWrap(true);
    auto* away = new QPushButton(tr("Delete this one …"));
    away->setObjectName(QStringLiteral("deleteTwice"));
    auto* two = new QPushButton(tr("They are two"));
    two->setObjectName(QStringLiteral("keepTwice"));
    connect(away, &QPushButton::clicked, this, &ClipForm::delete_asked);
    connect(two, &QPushButton::clicked, this, &ClipForm::keep_both);
    same->addWidget(twice_words_);
    auto* row = new QHBoxLayout;
    row->addWidget(away);
    row->addWidget(two);
    same->addLayout(row);
    twice_->hide();
    named_so_ = new QPushButton;
    named_so_->setObjectName(QStringLiteral("namedSo"));
    named_so_->setAccessibleName(tr("The name in the name of the file"));
    named_so_->setFocusPolicy(Qt::TabFocus);
    named_so_->hide();
    connect(named_so_, &QPushButton::clicked, this, [this] {
        height_->setValue(height_->minimum()); // of somebody new nobody said it
        student_->setCurrentText(named_so_->property("who").toString());
        for (const auto& p : people_)
            if (QString::fromStdString(p.name) == student_->currentText()) set_height(p);
        take_->setFocus();
    });
    for (int i = 0; i < 3; ++i) {
        auto* b = new QPushButton;
        b->setObjectName(QStringLiteral("guess%1").arg(i + 1));
        b->setFocusPolicy(Qt::TabFocus);
        b->setAccessibleName(tr("It is the guess number %1").arg(i + 1));
        connect(b, &QPushButton::clicked, this, [this, i] { choose_person(i); });
        buttons->addWidget(b);
        guesses_ << b;
    }
}

void ClipForm::fill(const ClipRow& row) {
    const Clip& c = row.clip;
    load_condition();
    guess_ = parse_guess(c.guess);
    say_twice(guess_.same_take);
    if (c.state != ClipState::asked) guess_ = {};
    const QString named = QString::fromStdString(c.named);
    file_label_->setText(c.person != 0 ? tr("%1's clip").arg(QString::fromStdString(row.person.name)) : named);
    // Movements with how likely they are, where the clip was asked.
    movement_->clear();
    for (const auto& m : session_.movements.all()) {
        QString name = said(m.name);
        for (const auto& g : guess_.movements)
            if (g.movement == m.id) name = tr("%1 (%2 % likely)").arg(name, percent(g.probability));
        movement_->addItem(name, QString::fromStdString(m.id));
    }
    movement_->insertSeparator(movement_->count());
    for (const auto& f : session_.faces.all()) movement_->addItem(tr("Form: %1").arg(said(f.name)), QString::fromStdString(f.id));
    movement_->insertSeparator(movement_->count());
    movement_->addItem(tr("Something else: figures and safety only"), QLatin1String(free_id));
    std::string movement = c.movement;
    if (movement.empty() && !guess_.movements.empty()) movement = guess_.movements.front().movement;
    movement_->setCurrentIndex(movement_->findData(QString::fromStdString(movement)));
    offer_versions(c.version);
    auto choose = [](QComboBox* box, const std::string& id) {
        box->setCurrentIndex(std::max(0, box->findData(QString::fromStdString(id))));
    };
    choose(view_, c.view);
    choose(school_, c.school);
    school_chosen_ = false;
    choose(footwear_, c.footwear);
    choose(surface_, c.surface);
    mirrored_->setChecked(c.mirrored);
    if (c.person != 0) {
        student_->setCurrentText(QString::fromStdString(row.person.name));
        set_height(row.person);
    }
    if (c.person == 0) height_->setValue(height_->minimum()); // not the one of the clip that was shown before
    bool sure = false;
    for (int i = 0; i < guesses_.size(); ++i) {
        const bool there = i < static_cast<int>(guess_.people.size()) && guess_.people[static_cast<std::size_t>(i)].probability >= 0.01;
        guesses_[i]->setVisible(there);
        if (!there) continue;
        const auto& g = guess_.people[static_cast<std::size_t>(i)];
        QString name = tr("somebody new");
        for (const auto& p : people_)
            if (p.id == g.person) name = QString::fromStdString(p.name);
        guesses_[i]->setText(tr("%1  %2 (%3 % likely)").arg(i + 1).arg(name, percent(g.probability)));
        guesses_[i]->setAccessibleName(guesses_[i]->text());
        if (i == 0 && g.person != 0 && g.probability >= ClipGuess::sure) {
            sure = true;
            student_->setCurrentText(name);
            for (const auto& p : people_)
                if (p.id == g.person) set_height(p);
        }
    }
    const QString in_file = name_in_file();
    const bool guessed = std::any_of(guess_.people.begin(), guess_.people.end(), [&](const auto& g) {
        return std::any_of(people_.begin(), people_.end(),
                           [&](const Person& p) { return p.id == g.person && QString::fromStdString(p.name) == in_file; });
    });
    named_so_->setVisible(c.person == 0 && !sure && !guessed && !in_file.isEmpty());
    named_so_->setText(tr("%1, as the file is named").arg(in_file));
    named_so_->setAccessibleName(named_so_->text());
    named_so_->setProperty("who", in_file);
    whose_->setVisible(c.state == ClipState::asked && !sure && !guess_.people.empty());
    QStringList words;
    if (c.state == ClipState::asked) {
        words << (sure ? tr("Guessed, %1 % sure whose it is. Right? Then press Enter.").arg(percent(guess_.people.front().probability))
                       : tr("Whose is it? Choose with Alt+1 to 3, or type a name; then Enter."));
        if (const auto v = view_from_name(guess_.view)) words << tr("Seen %1.").arg(text::view(*v));
        const auto heard = std::find_if(rows_.begin(), rows_.end(), [&](const ClipRow& r) { return r.clip.id == guess_.heard_with; });
        if (guess_.heard_with != 0 && heard != rows_.end())
            words << tr("Another phone heard the same at that time: %1. Both may show one performance.").arg(called(*heard));
        if (!guess_.movements.empty()) {
            const auto& g = guess_.movements.front();
            if (g.left > 0 && g.right > 0) words << tr("Both sides: %1 left, %2 right.").arg(g.left).arg(g.right);
            if ((g.left > 0) != (g.right > 0)) words << (g.left > 0 ? tr("The left side only.") : tr("The right side only."));
        }
    } else if (c.state == ClipState::waiting) {
        words << tr("You can say whose it is now, or when the body has been found.");
    }
    sure_->setText(words.join(QLatin1Char(' ')));
    sure_->setVisible(!words.isEmpty());
}

/// The same film as a clip that is there already, whatever its file is called.
void ClipForm::say_twice(std::int64_t clip) {
    const auto it = std::find_if(rows_.begin(), rows_.end(), [&](const ClipRow& r) { return r.clip.id == clip; });
    twice_->setVisible(clip != 0 && it != rows_.end());
    if (!twice_->isVisibleTo(this)) return;
    twice_words_->setText(tr("The same film seems to be here already: %1.")
                              .arg(called(*it) + QStringLiteral(", ") + tr("came on %1").arg(text::day(it->clip.arrived_on))));
}

/// Whose clip it is and what it shows; the file's name where nobody said whose.
QString ClipForm::called(const ClipRow& row) const {
    QStringList which;
    if (row.clip.person != 0) which << QString::fromStdString(row.person.name);
    if (const auto m = session_.movement(row.clip.movement)) which << said(m->name);
    if (row.clip.person == 0 && !row.clip.named.empty()) which << QString::fromStdString(row.clip.named);
    return which.join(QStringLiteral(", "));
}

void ClipForm::keep_both() {
    if (!row_) return;
    ClipGuess now = parse_guess(row_->clip.guess);
    now.same_take = 0;
    row_->clip.guess = guess_json(now);
    twice_->hide();
    session_.background->run<Result<bool>>(
        session_.jobs,
        [lib = session_.library, id = row_->clip.id, guess = row_->clip.guess](std::stop_token) {
            return lib->clips().set_guess(id, guess);
        },
        [form = QPointer<ClipForm>(this)](const Result<bool>& ok) {
            if (form && !ok) form->notice_->problem(text::error(ok.error()));
        });
}

/// A student of the library whose name, or a part of it of three letters or more, stands as a word in the name of the file; else its first
/// word of three letters or more, where it is written like a name. Empty where the name of the file is one that a camera gives.
QString ClipForm::name_in_file() const {
    if (!row_) return {};
    static const QRegularExpression between(QStringLiteral("[^\\p{L}']+"));
    const QStringList words = QFileInfo(QString::fromStdString(row_->clip.named)).completeBaseName().split(between, Qt::SkipEmptyParts);
    for (const auto& p : people_) {
        const QString name = QString::fromStdString(p.name);
        for (const QString& part : name.split(between, Qt::SkipEmptyParts))
            if (part.size() >= 3 && words.contains(part, Qt::CaseInsensitive)) return name;
    }
    static const QStringList camera{QStringLiteral("img"),      QStringLiteral("vid"),    QStringLiteral("video"),   QStringLiteral("mov"),
                                    QStringLiteral("movie"),    QStringLiteral("clip"),   QStringLiteral("dsc"),     QStringLiteral("pxl"),
                                    QStringLiteral("whatsapp"), QStringLiteral("signal"), QStringLiteral("untitled")};
    const auto word = std::find_if(words.begin(), words.end(), [](const QString& w) { return w.size() >= 3; });
    const QString first = word == words.end() ? QString() : *word;
    const bool as_name = !first.isEmpty() && first.front().isUpper() && first.mid(1) == first.mid(1).toLower();
    if (!as_name || camera.contains(first, Qt::CaseInsensitive)) return {};
    for (const auto& m : session_.movements.all()) // "Gaze at the moon.mp4" names nobody
        if (said(m.name).contains(first, Qt::CaseInsensitive)) return {};
    return first;
}

void ClipForm::choose_person(int index) {
    if (!row_ || index < 0 || index >= static_cast<int>(guess_.people.size())) return;
    const auto id = guess_.people[static_cast<std::size_t>(index)].person;
    if (id == 0) {
        student_->setCurrentText({});
        student_->setFocus();
        return;
    }
    for (const auto& p : people_)
        if (p.id == id) {
            student_->setCurrentText(QString::fromStdString(p.name));
            set_height(p);
        }
    take_->setFocus();
}

} // namespace bevel::ui
