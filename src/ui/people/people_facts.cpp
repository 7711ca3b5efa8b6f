// What is written down of a person: name, height, language, goals, what is practised.
#include "core/days.h"
#include "core/movement/movement.h"
#include "ui/people/people_page.h"
#include "ui/people/person_step.h"
#include "ui/shell/flow_layout.h"
#include "ui/shell/left_edit.h"
#include "ui/text/data_words.h"
#include "ui/text/practice_words.h"
#include <cmath>
#include <QCheckBox>
#include <QComboBox>
#include <QDate>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QScrollArea>
#include <QTableWidget>
#include <QVBoxLayout>

namespace bevel::ui {

/// Name, alias, consent, mail, height: what is typed in one line.
void PeoplePage::build_lines() {
    auto line = [&](const char* name, const QString& hint) {
        auto* e = new QLineEdit;
        e->setObjectName(QLatin1String(name));
        e->setPlaceholderText(hint);
        return e;
    };
    name_ = line("personName", QString());
    alias_ = line("personAlias", tr("as it may be shown to others"));
    consent_ = line("personConsent", tr("how it was said, and by whom for somebody under age"));
    email_ = line("personEmail", tr("where the mail program is to send letters"));
    for (auto* e : {name_, alias_, consent_, email_})
        connect(e, &QLineEdit::editingFinished, this, [this, e] { e == name_ ? person_changed() : facts_changed(); });
    height_ = new QDoubleSpinBox;
    height_->setObjectName(QStringLiteral("personHeight"));
    height_->setRange(79, 250); // the least stands for: nobody said it
    height_->setSpecialValueText(tr("not said"));
    height_->setDecimals(1);
    height_->setSuffix(tr(" cm"));
    height_->setKeyboardTracking(false);
    height_->setToolTip(tr("From today on; clips of earlier days keep the height of their day"));
    connect(height_, &QDoubleSpinBox::valueChanged, this, [this] {
        if (!filling_) height_changed();
    });
}

/// Language, lengths, step of balance; goals and notes in words of one's own.
void PeoplePage::build_choices() {
    language_ = new QComboBox;
    language_->setObjectName(QStringLiteral("personLanguage"));
    language_->addItem(tr("as the program speaks"), QString());
    for (const auto& code : languages()) language_->addItem(language_name(code), code);
    connect(language_, &QComboBox::activated, this, &PeoplePage::facts_changed);
    lengths_ = new QComboBox;
    lengths_->setObjectName(QStringLiteral("personLengths"));
    lengths_->setAccessibleName(tr("Lengths in letters"));
    for (const auto& [label, id] : {std::pair{tr("lengths as shown here"), ""}, {tr("in centimetres"), "cm"}, {tr("in inches"), "in"}})
        lengths_->addItem(label, QString::fromLatin1(id));
    ladder_ = new QComboBox;
    ladder_->setObjectName(QStringLiteral("personLadder"));
    ladder_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon); // its steps are sentences
    ladder_->setMinimumContentsLength(14);
    ladder_->setToolTip(tr("One step at a time; one step down after a fall or pain"));
    ladder_->addItem(tr("not known"), 0);
    for (int n = 1; n <= balance_steps; ++n) ladder_->addItem(tr("%1: %2").arg(n).arg(text::balance_step(n)), n);
    for (auto* b : {lengths_, ladder_}) connect(b, &QComboBox::activated, this, &PeoplePage::facts_changed);
    auto text_field = [&](const char* name, const QString& hint) {
        auto* e = new LeftEdit;
        e->setObjectName(QLatin1String(name));
        e->setPlaceholderText(hint);
        e->setTabChangesFocus(true);
        e->setFixedHeight(session_.theme.wide(74));
        connect(e, &LeftEdit::left, this, &PeoplePage::facts_changed);
        return e;
    };
    goals_ = text_field("personGoals", tr("in their own words"));
    notes_ = text_field("personNotes", tr("what to keep in mind"));
}

void PeoplePage::build_taught() {
    taught_ = new QTableWidget(0, 3);
    taught_->setObjectName(QStringLiteral("taught"));
    taught_->setAccessibleName(tr("Movements practised"));
    taught_->setHorizontalHeaderLabels({tr("Movement"), tr("Version"), tr("Taught up to")});
    taught_->verticalHeader()->hide();
    taught_->verticalHeader()->setDefaultSectionSize(session_.theme.wide(32));
    taught_->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    taught_->setMinimumHeight(session_.theme.wide(150));
}

/// What clips may be used for, and how that was said.
QWidget* PeoplePage::build_consent() {
    const std::array<QString, purposes> words{tr("kept and looked at here"), tr("shown to others who practise here"),
                                              tr("assistants learn from them")};
    consent_->setAccessibleName(tr("How consent was given"));
    auto* box = new QWidget;
    auto* all = new QVBoxLayout(box);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(2);
    for (int p = 0; p < purposes; ++p) {
        auto* tick = consents_[static_cast<std::size_t>(p)] = new QCheckBox(words[static_cast<std::size_t>(p)]);
        tick->setObjectName(QStringLiteral("consent_") + QLatin1String(purpose_name(static_cast<Purpose>(p)).data()));
        tick->setAccessibleName(tr("Agrees that clips are %1").arg(words[static_cast<std::size_t>(p)]));
        connect(tick, &QCheckBox::clicked, this, &PeoplePage::facts_changed);
        all->addWidget(tick);
    }
    all->addWidget(consent_);
    return box;
}

/// Since when each purpose is agreed to, or until when it was.
void PeoplePage::fill_consent() {
    const auto& f = sheet_->facts;
    for (int p = 0; p < purposes; ++p) {
        auto* tick = consents_[static_cast<std::size_t>(p)];
        tick->setChecked(agrees(f, static_cast<Purpose>(p), today()));
        QStringList lines;
        for (const auto& c : f.consents)
            if (c.purpose == static_cast<Purpose>(p))
                lines << (c.until.empty() ? tr("since %1").arg(text::day(c.from, true))
                                          : tr("from %1, taken back on %2").arg(text::day(c.from, true), text::day(c.until, true)));
        tick->setToolTip(lines.isEmpty() ? tr("Never said") : lines.join(QStringLiteral("; ")));
    }
}

QWidget* PeoplePage::build_facts() {
    build_lines();
    build_choices();
    build_taught();
    auto* inner = new QWidget;
    auto* form = new QFormLayout(inner);
    form->addRow(tr("Name"), name_);
    form->addRow(tr("Alias"), alias_);
    form->addRow(tr("Height"), height_);
    auto* letters = new FlowLayout;
    letters->setSpacing(6);
    letters->addWidget(language_);
    letters->addWidget(lengths_);
    form->addRow(tr("Letters in"), letters);
    form->addRow(tr("Mail"), email_);
    form->addRow(tr("Goals"), goals_);
    form->addRow(tr("Notes"), notes_);
    form->addRow(tr("Consent"), build_consent());
    form->addRow(tr("Balance"), ladder_);
    form->addRow(tr("Practises"), taught_);
    for (int row = 0; row < form->rowCount(); ++row) {
        const auto* label = qobject_cast<QLabel*>(form->itemAt(row, QFormLayout::LabelRole)->widget());
        auto* field = form->itemAt(row, QFormLayout::FieldRole)->widget();
        if (label && !field) field = language_;
        if (label && field && field->accessibleName().isEmpty()) field->setAccessibleName(label->text());
    }
    auto* scroll = new QScrollArea;
    scroll->setAccessibleName(tr("Person"));
    scroll->setWidget(inner);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    return scroll;
}

void PeoplePage::fill_facts() {
    filling_ = true;
    const auto& p = sheet_->person;
    const auto& f = sheet_->facts;
    name_->setText(QString::fromStdString(p.name));
    alias_->setText(QString::fromStdString(f.alias));
    consent_->setText(QString::fromStdString(f.consent));
    fill_consent();
    email_->setText(QString::fromStdString(f.email));
    language_->setCurrentIndex(std::max(0, language_->findData(QString::fromStdString(f.language))));
    lengths_->setCurrentIndex(std::max(0, lengths_->findData(QString::fromStdString(f.lengths))));
    ladder_->setCurrentIndex(std::max(0, ladder_->findData(f.balance_step)));
    height_->setValue(p.height_said ? 100 * p.stature_m : height_->minimum());
    goals_->setPlainText(QString::fromStdString(f.goals));
    notes_->setPlainText(QString::fromStdString(p.notes));
    // What is practised: what was filmed, and what else is written down.
    std::vector<Taught> rows = f.taught;
    for (const auto& l : sheet_->record)
        if (l.what == RecordLine::What::clip && !l.movement.empty() &&
            std::none_of(rows.begin(), rows.end(), [&](const Taught& t) { return t.movement == l.movement; }))
            rows.push_back({l.movement, "", ""});
    taught_->setRowCount(static_cast<int>(rows.size()));
    for (int r = 0; r < taught_->rowCount(); ++r) {
        const auto& t = rows[static_cast<std::size_t>(r)];
        const auto m = session_.movement(t.movement);
        auto* name = new QTableWidgetItem(m ? said(m->name) : QString::fromStdString(t.movement));
        name->setData(Qt::UserRole, QString::fromStdString(t.movement));
        name->setFlags(Qt::ItemIsEnabled | Qt::ItemIsSelectable);
        taught_->setItem(r, 0, name);
        auto combo = [&](int column, const QString& whole, const std::vector<std::pair<QString, std::string>>& all,
                         const std::string& now) {
            auto* b = new QComboBox;
            b->addItem(whole, QString());
            for (const auto& [label, id] : all) b->addItem(label, QString::fromStdString(id));
            b->setCurrentIndex(std::max(0, b->findData(QString::fromStdString(now))));
            b->setAccessibleName(column == 1 ? tr("Version of %1").arg(name->text()) : tr("%1: taught up to").arg(name->text()));
            connect(b, &QComboBox::activated, this, &PeoplePage::facts_changed);
            taught_->setCellWidget(r, column, b);
        };
        std::vector<std::pair<QString, std::string>> versions, phases;
        if (m) {
            for (const auto& v : m->versions) versions.emplace_back(said(v.name), v.name);
            for (const auto& ph : m->phases) phases.emplace_back(said(ph.name), ph.id);
        }
        combo(1, tr("as it is"), versions, t.version);
        combo(2, tr("all of it"), phases, t.up_to);
    }
    filling_ = false;
}

void PeoplePage::facts_changed() {
    if (filling_ || !sheet_) return;
    PersonFacts now = sheet_->facts;
    now.alias = alias_->text().trimmed().toStdString();
    now.consent = consent_->text().trimmed().toStdString();
    for (int k = 0; k < purposes; ++k)
        set_consent(now, static_cast<Purpose>(k), consents_[static_cast<std::size_t>(k)]->isChecked(), today());
    now.goals = goals_->toPlainText().trimmed().toStdString();
    now.email = email_->text().trimmed().toStdString();
    now.language = language_->currentData().toString().toStdString();
    now.lengths = lengths_->currentData().toString().toStdString();
    now.balance_step = ladder_->currentData().toInt();
    now.taught.clear();
    for (int r = 0; r < taught_->rowCount(); ++r) {
        const auto at = [&](int c) { return qobject_cast<QComboBox*>(taught_->cellWidget(r, c))->currentData().toString().toStdString(); };
        if (!at(1).empty() || !at(2).empty())
            now.taught.push_back({taught_->item(r, 0)->data(Qt::UserRole).toString().toStdString(), at(1), at(2)});
    }
    if (notes_->toPlainText().trimmed().toStdString() != sheet_->person.notes) person_changed();
    const auto same = [](const PersonFacts& a, const PersonFacts& b) {
        const auto taught = [](const Taught& x, const Taught& y) {
            return x.movement == y.movement && x.version == y.version && x.up_to == y.up_to;
        };
        return a.alias == b.alias && a.language == b.language && a.lengths == b.lengths && a.balance_step == b.balance_step &&
               a.email == b.email && a.goals == b.goals && a.consent == b.consent && a.consents == b.consents &&
               std::equal(a.taught.begin(), a.taught.end(), b.taught.begin(), b.taught.end(), taught);
    };
    if (same(now, sheet_->facts)) return;
    undo().push(new PersonStep(tr("what is known of a person"), [this, id = sheet_->person.id, before = sheet_->facts, now](bool done) {
        const PersonFacts& f = done ? now : before;
        if (sheet_ && sheet_->person.id == id) sheet_->facts = f;
        session_.background->run<Result<bool>>(
            this, [lib = session_.library, id, f](std::stop_token) { return lib->people().set_facts(id, f); },
            [this](const Result<bool>& ok) {
                if (!ok) return problem(ok.error());
                load_sheet();
            });
    }));
}

void PeoplePage::person_changed() {
    if (filling_ || !sheet_) return;
    Person now = sheet_->person;
    now.name = name_->text().trimmed().toStdString();
    now.notes = notes_->toPlainText().trimmed().toStdString();
    if (now.name.empty()) return fill_facts(); // somebody has a name
    if (now.name == sheet_->person.name && now.notes == sheet_->person.notes) return;
    undo().push(new PersonStep(tr("a person"), [this, before = sheet_->person, now](bool done) {
        const Person& p = done ? now : before;
        if (sheet_ && sheet_->person.id == p.id) sheet_->person.name = p.name, sheet_->person.notes = p.notes;
        session_.background->run<Result<bool>>(
            this, [lib = session_.library, p](std::stop_token) { return lib->people().update(p); },
            [this, id = p.id](const Result<bool>& ok) {
                if (!ok) return problem(ok.error());
                session_.workspace->touched(0);
                load_people(id);
            });
    }));
}

void PeoplePage::height_changed() {
    if (!sheet_) return;
    const double now = height_->value() / 100, before = sheet_->person.stature_m;
    const bool said_before = sheet_->person.height_said;
    if (height_->value() <= height_->minimum()) { // what was said stays said
        const QSignalBlocker quiet(height_);
        if (said_before) height_->setValue(100 * before);
        return;
    }
    if (said_before && std::abs(now - before) < 1e-4) return;
    undo().push(new PersonStep(tr("the height of a person"), [this, id = sheet_->person.id, before, now, said_before](bool done) {
        const double m = done ? now : before;
        const bool said_now = done || said_before;
        if (sheet_ && sheet_->person.id == id) sheet_->person.stature_m = m, sheet_->person.height_said = said_now;
        const std::string today = QDate::currentDate().toString(Qt::ISODate).toStdString();
        session_.background->run<Result<bool>>(
            this,
            [lib = session_.library, id, m, today, said_now](std::stop_token) {
                return said_now ? lib->people().set_height(id, today, m) : lib->people().forget_heights(id);
            },
            [this](const Result<bool>& ok) {
                if (!ok) return problem(ok.error());
                load_sheet();
            });
    }));
}

} // namespace bevel::ui
