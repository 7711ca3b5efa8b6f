#include "ui/forms/schools_dialog.h"
#include "core/files.h"
#include "ui/text/data_words.h"
#include <cmath>
#include <nlohmann/json.hpp>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QDoubleSpinBox>
#include <QFileDialog>
#include <QFormLayout>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QStyle>
#include <QTableWidget>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {

using nlohmann::json;
constexpr double open_end = -1001; // a spin box at its least: no such end

/// The first band of the rules that a change speaks of, for its unit.
const Check* check_of(const BandChange& c) {
    for (const auto& rule : rule_book().rules)
        for (const auto& rc : rule.checks)
            if ((c.rule.empty() || c.rule == rule.id) && (c.measure.empty() || c.measure == rc.check.measure) &&
                (c.check.empty() || c.check == rc.check.id))
                return &rc.check;
    return nullptr;
}

} // namespace

SchoolsDialog::SchoolsDialog(const Session& session, const std::string& shown, QWidget* parent)
    : QDialog(parent), session_(session), shown_(shown) {
    setObjectName(QStringLiteral("schoolsDialog"));
    setWindowTitle(tr("Schools"));
    resize(session_.theme.wide(900), session_.theme.wide(580));
    build();
    fill();
}

void SchoolsDialog::build() {
    list_ = new QListWidget;
    list_->setObjectName(QStringLiteral("schoolList"));
    list_->setAccessibleName(tr("Schools"));
    list_->setWordWrap(true);
    list_->setFixedWidth(session_.theme.wide(210));
    name_ = new QLineEdit;
    name_->setObjectName(QStringLiteral("schoolName"));
    name_->setAccessibleName(tr("Name"));
    about_ = new QLabel;
    about_->setWordWrap(true);
    about_->setObjectName(QStringLiteral("faint"));
    about_->setMinimumHeight(2 * about_->fontMetrics().lineSpacing() + 4);
    changes_ = new QTableWidget(0, 2);
    changes_->setObjectName(QStringLiteral("schoolChanges"));
    changes_->setAccessibleName(tr("What it does in its own way"));
    changes_->setHorizontalHeaderLabels({tr("In its own way"), tr("Why")});
    changes_->verticalHeader()->hide();
    changes_->setWordWrap(true);
    changes_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    changes_->setSelectionBehavior(QAbstractItemView::SelectRows);
    changes_->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    changes_->verticalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    rule_ = new QComboBox;
    rule_->setObjectName(QStringLiteral("schoolCheck"));
    rule_->setAccessibleName(tr("What is judged"));
    rule_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    for (const auto& rule : rule_book().rules)
        for (const auto& rc : rule.checks) {
            const QString name = session_.catalogue.name(QString::fromStdString(rc.check.measure));
            rule_->addItem(tr("%1: %2").arg(said(rule.name), name), QString::fromStdString(rc.check.id));
        }
    stance_ = new QComboBox;
    stance_->setObjectName(QStringLiteral("schoolStance"));
    stance_->setAccessibleName(tr("In which stance"));
    stance_->addItem(tr("in every stance"), QString());
    for (const auto& s : stance_names()) stance_->addItem(text::stance(s), QString::fromStdString(s));
    role_ = new QComboBox;
    role_->setObjectName(QStringLiteral("schoolRole"));
    role_->setAccessibleName(tr("In which part"));
    role_->addItem(tr("in every part"), QString());
    for (const auto& r : role_names()) role_->addItem(text::role(r), QString::fromStdString(r));
    auto* ends = new QHBoxLayout;
    for (const auto& [box, name, label] : {std::tuple{&low_, "schoolLow", tr("At least")}, {&high_, "schoolHigh", tr("At most")}}) {
        *box = new QDoubleSpinBox;
        (*box)->setObjectName(QLatin1String(name));
        (*box)->setAccessibleName(label);
        (*box)->setToolTip(label);
        (*box)->setRange(open_end, 1000);
        (*box)->setSpecialValueText(tr("no end"));
        ends->addWidget(new QLabel(label));
        ends->addWidget(*box, 1);
    }
    reason_ = new QLineEdit;
    reason_->setObjectName(QStringLiteral("schoolReason"));
    reason_->setAccessibleName(tr("Reason"));
    reason_->setPlaceholderText(tr("Why: the reader of a review sees it"));
    words_ = new QLabel;
    words_->setWordWrap(true);
    words_->hide();
    auto* where = new QHBoxLayout;
    where->addWidget(stance_, 1);
    where->addWidget(role_, 1);
    auto* form = new QFormLayout;
    form->addRow(tr("Name"), name_);
    auto* one = new QFormLayout;
    one->addRow(tr("What is judged"), rule_);
    one->addRow(tr("Where"), where);
    one->addRow(tr("Band"), ends);
    one->addRow(tr("Reason"), reason_);
    auto button = [&](const char* id, const QString& label, auto go) {
        auto* b = new QPushButton(label);
        b->setObjectName(QLatin1String(id));
        b->setAutoDefault(false);
        connect(b, &QPushButton::clicked, this, go);
        return b;
    };
    add_ = button("schoolAdd", tr("Add"), [this] {
        changes_->setCurrentCell(-1, -1);
        set_change();
    });
    set_ = button("schoolSet", tr("Set"), [this] { set_change(); });
    out_ = button("schoolTakeOut", tr("Take out"), [this] { take_change_out(); });
    copy_ = button("schoolCopy", tr("Copy"), [this] { copy(); });
    reset_ = button("schoolReset", tr("As shipped"), [this] { emit edited(tr("your own school"), shown_, std::nullopt); });
    auto* out = button("schoolExport", tr("Export …"), [this] {
        const QString file = QFileDialog::getSaveFileName(this, tr("Export the school"),
                                                          QString::fromStdString(shown_) + QStringLiteral(".json"), tr("Schools (*.json)"));
        if (!file.isEmpty()) write_school(file);
    });
    auto* in = button("schoolImport", tr("Import …"), [this] {
        const QString file = QFileDialog::getOpenFileName(this, tr("Import a school"), QString(), tr("Schools (*.json)"));
        if (!file.isEmpty()) read_school(file);
    });
    auto* acts = new QHBoxLayout;
    for (auto* b : {add_, set_, out_}) acts->addWidget(b);
    acts->addStretch(1);
    auto* foot = new QHBoxLayout;
    for (auto* b : {copy_, reset_, out, in}) foot->addWidget(b);
    foot->addStretch(1);
    auto* close = button("schoolClose", tr("Close"), [this] { accept(); });
    foot->addWidget(close);
    auto* right = new QVBoxLayout;
    right->addLayout(form);
    right->addWidget(about_);
    right->addWidget(changes_, 1);
    right->addLayout(one);
    right->addLayout(acts);
    right->addWidget(words_);
    auto* both = new QHBoxLayout;
    both->addWidget(list_);
    both->addLayout(right, 1);
    auto* all = new QVBoxLayout(this);
    all->addLayout(both, 1);
    all->addLayout(foot);
    connect(list_, &QListWidget::currentItemChanged, this, [this](const QListWidgetItem* it) {
        if (!it || filling_) return;
        shown_ = it->data(Qt::UserRole).toString().toStdString();
        show_school();
    });
    connect(changes_, &QTableWidget::currentCellChanged, this, [this] {
        if (!filling_) show_change();
    });
    connect(name_, &QLineEdit::editingFinished, this, [this] {
        const auto s = school();
        const QString name = name_->text().trimmed();
        if (!s || name.isEmpty() || name == said(s->name)) return;
        change(tr("the name of a school"), [&](json& j) { j["name"] = name.left(120).toStdString(); });
    });
}

std::shared_ptr<const School> SchoolsDialog::school() const {
    return session_.school(shown_);
}

void SchoolsDialog::fill() {
    filling_ = true;
    list_->clear();
    int at = 0;
    for (const auto& s : session_.schools.all()) {
        auto* it = new QListWidgetItem(s.own ? tr("%1 (own)").arg(said(s.name)) : said(s.name), list_);
        it->setData(Qt::UserRole, QString::fromStdString(s.id));
        if (s.id == shown_) at = list_->count() - 1;
    }
    list_->setCurrentRow(at);
    if (list_->currentItem()) shown_ = list_->currentItem()->data(Qt::UserRole).toString().toStdString();
    filling_ = false;
    show_school();
}

QString SchoolsDialog::sentence(const BandChange& c) const {
    QStringList where;
    if (!c.stance.empty()) where << tr("stance: %1").arg(text::stance(c.stance));
    if (!c.role.empty()) where << tr("part: %1").arg(text::role(c.role));
    if (!c.kind.empty()) where << said(c.kind);
    const Check* check = check_of(c);
    QString what;
    if (check && (!c.rule.empty() || !c.measure.empty() || !c.check.empty())) {
        const QString unit = QString::fromStdString(unit_of_measure(rule_book(), check->measure).value_or(""));
        what = session_.catalogue.name(QString::fromStdString(check->measure)) + QStringLiteral(": ") +
               (c.off               ? tr("not judged")
                : (c.low || c.high) ? text::band(c.low, c.high, unit, session_.settings.units(Motion{}))
                                    : tr("as usual"));
    }
    QStringList bends;
    if (c.lean) bends << tr("the figure leans %1°").arg(QLocale().toString(*c.lean));
    if (c.higher != 0) bends << (c.higher > 0 ? tr("it stands higher") : tr("it stands lower"));
    if (c.step != 1) bends << tr("steps %1 times as long").arg(QLocale().toString(c.step));
    if (c.weight) bends << tr("%1 % of the weight on the leading foot").arg(QLocale().toString(std::lround(100 * *c.weight)));
    if (c.forward != 0)
        bends << (c.forward > 0 ? tr("the weight is further forward on the feet") : tr("the weight is further back on the feet"));
    if (c.toe_out) bends << tr("toes %1° out").arg(QLocale().toString(*c.toe_out));
    QStringList all;
    if (!what.isEmpty()) all << what;
    if (!bends.isEmpty()) all << bends.join(QStringLiteral(", "));
    QString line = all.join(QStringLiteral("; "));
    if (!where.isEmpty()) line += QStringLiteral(" (%1)").arg(where.join(QStringLiteral(", ")));
    return line;
}

void SchoolsDialog::show_school() {
    const auto s = school();
    filling_ = true;
    changes_->setRowCount(0);
    name_->setText(s ? said(s->name) : QString());
    about_->setText(s ? said(s->about) : QString());
    about_->setVisible(!about_->text().isEmpty());
    if (s) {
        changes_->setRowCount(static_cast<int>(s->changes.size()));
        for (int i = 0; i < changes_->rowCount(); ++i) {
            const auto& c = s->changes[static_cast<std::size_t>(i)];
            changes_->setItem(i, 0, new QTableWidgetItem(sentence(c)));
            changes_->setItem(i, 1, new QTableWidgetItem(said(c.reason)));
        }
    }
    const bool shipped =
        s && std::any_of(session_.shipped_schools.begin(), session_.shipped_schools.end(), [&](const School& x) { return x.id == s->id; });
    reset_->setText(shipped ? tr("As shipped") : tr("Remove"));
    reset_->setEnabled(s && s->own);
    const bool can = s && !session_.library->read_only();
    for (auto* b : {add_, set_, out_, copy_}) b->setEnabled(can);
    words_->hide();
    filling_ = false;
    show_change();
}

void SchoolsDialog::show_change() {
    const auto s = school();
    const int row = changes_->currentRow();
    const bool chosen = s && row >= 0 && row < static_cast<int>(s->changes.size());
    set_->setEnabled(chosen && !session_.library->read_only());
    out_->setEnabled(chosen && !session_.library->read_only());
    if (!chosen) return;
    const auto& c = s->changes[static_cast<std::size_t>(row)];
    if (const Check* check = check_of(c)) rule_->setCurrentIndex(std::max(0, rule_->findData(QString::fromStdString(check->id))));
    stance_->setCurrentIndex(std::max(0, stance_->findData(QString::fromStdString(c.stance))));
    role_->setCurrentIndex(std::max(0, role_->findData(QString::fromStdString(c.role))));
    low_->setValue(c.low.value_or(open_end));
    high_->setValue(c.high.value_or(open_end));
    reason_->setText(said(c.reason));
}

/// What stands in the fields becomes the chosen change, or a new one where none is chosen.
void SchoolsDialog::set_change() {
    const QString reason = reason_->text().trimmed();
    if (reason.isEmpty()) {
        reason_->setFocus();
        return say(tr("Say why: a band that differs owes a reason."));
    }
    const bool low = low_->value() > open_end, high = high_->value() > open_end;
    const int row = changes_->currentRow();
    change(row < 0 ? tr("a band of a school") : tr("the band of a school"), [&](json& j) {
        auto& list = j["changes"];
        json c = row < 0 ? json::object() : list[static_cast<std::size_t>(row)];
        if (row < 0) {
            c["check"] = rule_->currentData().toString().toStdString();
        } else if (const auto s = school()) {
            // Another check than the one it spoke of; else what it speaks of stays as wide as it was.
            const Check* was = check_of(s->changes[static_cast<std::size_t>(row)]);
            if (!was || was->id != rule_->currentData().toString().toStdString()) {
                for (const char* k : {"rule", "measure"}) c.erase(k);
                c["check"] = rule_->currentData().toString().toStdString();
            }
        }
        for (const auto& [key, box] : {std::pair{"stance", stance_}, {"role", role_}}) {
            c.erase(key);
            if (const auto v = box->currentData().toString(); !v.isEmpty()) c[key] = v.toStdString();
        }
        c.erase("low"), c.erase("high");
        if (low) c["low"] = low_->value();
        if (high) c["high"] = high_->value();
        c["reason"] = reason.left(400).toStdString();
        if (row < 0)
            list.push_back(c);
        else
            list[static_cast<std::size_t>(row)] = c;
    });
}

void SchoolsDialog::take_change_out() {
    const int row = changes_->currentRow();
    if (row >= 0) change(tr("a band of a school taken out"), [&](json& j) { j["changes"].erase(static_cast<std::size_t>(row)); });
}

void SchoolsDialog::copy() {
    const auto s = school();
    if (!s || !s->source) return;
    auto j = json::parse(*s->source, nullptr, false);
    if (!j.is_object()) return;
    std::string id = s->id + "_own";
    for (int n = 2; session_.school(id); ++n) id = s->id + "_own_" + std::to_string(n);
    j["id"] = id;
    j["name"] = tr("%1, my way").arg(said(s->name)).toStdString();
    shown_ = id;
    emit edited(tr("a copy of a school"), id, j.dump(2));
}

void SchoolsDialog::change(const QString& what, const std::function<void(json&)>& how) {
    const auto s = school();
    if (!s || !s->source) return;
    auto j = json::parse(*s->source, nullptr, false);
    if (!j.is_object()) return;
    how(j);
    const std::string text = j.dump(2);
    if (const auto read = parse_school(text); !read) return say(tr("That cannot be: %1").arg(QString::fromStdString(read.error().context)));
    emit edited(what, shown_, text);
}

void SchoolsDialog::write_school(const QString& file) {
    const auto s = school();
    if (!s || !s->source) return;
    session_.files().run<Result<bool>>(
        this, [text = *s->source, path = file.toStdString()](std::stop_token) { return write_whole(path, text); },
        [this, file](const Result<bool>& ok) { ok ? say(tr("Saved: %1").arg(file), false) : say(text::error(ok.error())); });
}

void SchoolsDialog::read_school(const QString& file) {
    session_.files().run<Result<std::string>>(
        this, [path = file.toStdString()](std::stop_token) { return read_text(path, 1 << 20); },
        [this](const Result<std::string>& text) {
            if (!text) return say(text::error(text.error()));
            const auto s = parse_school(*text);
            if (!s) return say(tr("That is no school Bevel can read: %1").arg(QString::fromStdString(s.error().context)));
            shown_ = s->id;
            emit edited(tr("an imported school"), s->id, *text);
        });
}

void SchoolsDialog::say(const QString& words, bool problem) {
    words_->setObjectName(problem ? QStringLiteral("problem") : QStringLiteral("faint"));
    words_->style()->unpolish(words_);
    words_->style()->polish(words_);
    words_->setText(words);
    words_->show();
}

} // namespace bevel::ui
