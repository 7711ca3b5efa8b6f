#include "ui/practice/log_view.h"
#include "core/files.h"
#include "core/practice/plan.h"
#include "desk/person_sheet.h"
#include "ui/paint/page_pdf.h"
#include "ui/shell/workspace.h"
#include "ui/text/practice_words.h"
#include <cmath>
#include <QComboBox>
#include <QDate>
#include <QDialogButtonBox>
#include <QFileDialog>
#include <QFormLayout>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QPainter>
#include <QPushButton>
#include <QSpinBox>

namespace bevel::ui {

LogDialog::LogDialog(const Session& session, const PracticeLog& log, QWidget* parent) : QDialog(parent), log_(log) {
    setObjectName(QStringLiteral("logDialog"));
    setWindowTitle(tr("How was it?"));
    title_ = new QLineEdit(QString::fromStdString(log.title));
    title_->setObjectName(QStringLiteral("logTitle"));
    title_->setPlaceholderText(tr("what was practised"));
    minutes_ = new QSpinBox;
    minutes_->setObjectName(QStringLiteral("logMinutes"));
    minutes_->setRange(0, 600);
    minutes_->setSuffix(tr(" min"));
    minutes_->setValue(static_cast<int>(std::lround(log.minutes)));
    effort_ = new QSpinBox;
    effort_->setObjectName(QStringLiteral("logEffort"));
    effort_->setRange(-1, 10);
    effort_->setValue(log.effort.value_or(-1));
    effort_->setSpecialValueText(QStringLiteral("–"));
    effort_->setToolTip(tr("0 nothing, 10 the most; about 7 is plenty"));
    felt_ = new QLineEdit(QString::fromStdString(log.felt));
    felt_->setObjectName(QStringLiteral("logFelt"));
    pain_ = new QLineEdit(QString::fromStdString(log.pain));
    pain_->setObjectName(QStringLiteral("logPain"));
    pain_->setPlaceholderText(tr("where, if anywhere"));
    caution_ = new QLabel(tr("Make it smaller next time. Where it stays, ask a licensed clinician."));
    caution_->setObjectName(QStringLiteral("problem"));
    caution_->setWordWrap(true);
    caution_->setVisible(!log.pain.empty());
    connect(pain_, &QLineEdit::textChanged, this, [this](const QString& s) { caution_->setVisible(!s.trimmed().isEmpty()); });
    auto* form = new QFormLayout(this);
    form->addRow(tr("What"), title_);
    form->addRow(tr("How long"), minutes_);
    form->addRow(tr("Effort, 0 to 10"), effort_);
    form->addRow(tr("How it felt"), felt_);
    form->addRow(tr("Pain"), pain_);
    form->addRow(caution_);
    if (!log.done.empty()) {
        QStringList done;
        for (const auto& d : log.done) {
            const auto piece = PieceId::read(d.movement);
            const auto m = session.movement(piece ? std::string(form_prefix) + piece->form : d.movement);
            const QString one = m ? said(m->name) : QString::fromStdString(piece ? piece->form : d.movement);
            const QString name = piece ? text::piece_title(*piece, one, {}) : one;
            done << (d.left + d.right > 0 ? tr("%1: %2 left, %3 right").arg(name).arg(d.left).arg(d.right)
                                          : tr("%1: %2").arg(name, text::minutes_words(d.seconds)));
        }
        auto* words = new QLabel(done.join(QStringLiteral(" · ")));
        words->setObjectName(QStringLiteral("faint"));
        words->setWordWrap(true);
        form->addRow(tr("Done"), words);
    }
    if (const auto plan = log.plan.empty() ? Result<Plan>(fail(Code::not_found, "plan")) : parse_plan(log.plan);
        plan && plan->minutes > 0) {
        int left = 0, right = 0, did_left = 0, did_right = 0;
        for (const auto& i : plan->items) left += i.left, right += i.right;
        for (const auto& d : log.done) did_left += d.left, did_right += d.right;
        auto* against = new QLabel(tr("%1 of %2 minutes; repeats left %3 of %4, right %5 of %6")
                                       .arg(QLocale().toString(log.minutes, 'f', 0), QLocale().toString(plan->minutes, 'f', 0))
                                       .arg(did_left)
                                       .arg(left)
                                       .arg(did_right)
                                       .arg(right));
        against->setObjectName(QStringLiteral("logAgainst"));
        form->addRow(tr("Of the plan"), against);
        int step = 0;
        for (const auto& i : plan->items) step = std::max(step, i.ladder);
        if (step > 0 && log.person != 0) {
            ladder_ = new QComboBox;
            ladder_->setObjectName(QStringLiteral("logLadder"));
            ladder_->setAccessibleName(tr("Balance next time"));
            ladder_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
            ladder_->setMinimumContentsLength(28);
            for (const auto& [words, to] :
                 {std::pair{tr("one step down: %1"), step - 1}, {tr("as today: %1"), step}, {tr("one step up: %1"), step + 1}})
                if (to >= 1 && to <= balance_steps) ladder_->addItem(words.arg(text::balance_step(to)), to);
            ladder_->setCurrentIndex(ladder_->findData(step));
            form->addRow(tr("Balance next time"), ladder_);
            // After pain one step down; the person may still say otherwise.
            connect(pain_, &QLineEdit::editingFinished, this, [this, step] {
                const int down = ladder_->findData(step - 1);
                if (!pain_->text().trimmed().isEmpty() && down >= 0) ladder_->setCurrentIndex(down);
            });
        }
    }
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Save | QDialogButtonBox::Cancel);
    form->addRow(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &LogDialog::agree);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    effort_->setFocus();
}

void LogDialog::agree() {
    log_.title = title_->text().trimmed().toStdString();
    log_.minutes = std::abs(minutes_->value() - log_.minutes) < 0.5 ? log_.minutes : minutes_->value();
    log_.effort = effort_->value() >= 0 ? std::optional(effort_->value()) : std::nullopt;
    log_.felt = felt_->text().trimmed().toStdString();
    log_.pain = pain_->text().trimmed().toStdString();
    accept();
    emit kept(log_);
    if (ladder_) emit stepped(ladder_->currentData().toInt());
}

/// Minutes of each week by kind, and left against right below. No streaks: a week without is a gap, nothing more.
class LogView::Weeks : public QWidget {
public:
    explicit Weeks(const Session& session) : session_(session) {
        setObjectName(QStringLiteral("weeks"));
        setAccessibleName(LogView::tr("Minutes by week"));
        setMinimumHeight(session_.theme.wide(190));
    }
    std::vector<Week> weeks;

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        const Palette& c = session_.theme.palette;
        p.fillRect(rect(), c.sheet);
        p.setPen(c.line);
        p.drawRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5));
        p.setFont(session_.theme.font(10.5));
        if (weeks.empty()) {
            p.setPen(c.faint);
            p.drawText(rect(), Qt::AlignCenter, LogView::tr("Nothing was practised yet"));
            return;
        }
        const auto shown = std::min<std::size_t>(weeks.size(), 16);
        const std::span<const Week> last(weeks.data() + weeks.size() - shown, shown);
        double most = 10;
        std::map<std::string, int> kinds;
        for (const auto& w : last) {
            most = std::max(most, w.minutes);
            for (const auto& [k, m] : w.by_kind) kinds.emplace(k, 0);
        }
        int n = 0;
        for (auto& [k, at] : kinds) at = n++;
        constexpr std::array<Qt::BrushStyle, 6> patterns{Qt::SolidPattern, Qt::BDiagPattern, Qt::Dense4Pattern,
                                                         Qt::HorPattern,   Qt::CrossPattern, Qt::FDiagPattern};
        const QRectF r = QRectF(rect()).adjusted(44, 30, -12, -44);
        // What is what, above.
        double x = r.left();
        for (const auto& [k, at] : kinds) {
            p.setPen(c.ink);
            p.setBrush(QBrush(c.accent, patterns[static_cast<std::size_t>(at) % patterns.size()]));
            p.drawRect(QRectF(x, 10, 12, 12));
            const QString name = said(k);
            p.drawText(QPointF(x + 17, 21), name);
            x += 30 + p.fontMetrics().horizontalAdvance(name);
        }
        const double wide = std::min(60.0, r.width() / static_cast<double>(shown));
        for (const double at : {0.5, 1.0}) {
            p.setPen(c.line);
            p.drawLine(QPointF(r.left(), r.bottom() - at * r.height()), QPointF(r.right(), r.bottom() - at * r.height()));
            p.setPen(c.faint);
            p.drawText(QRectF(2, r.bottom() - at * r.height() - 9, 38, 18), Qt::AlignRight | Qt::AlignVCenter,
                       QString::number(std::lround(at * most)));
        }
        for (std::size_t i = 0; i < shown; ++i) {
            const Week& w = last[i];
            double y = r.bottom(), told = 0;
            for (const auto& [k, m] : w.by_kind) told += m;
            const double scale = told > 0 ? w.minutes / told : 0; // pauses belong to what they stand between
            const double left = r.left() + static_cast<double>(i) * wide;
            if (told <= 0 && w.minutes > 0) {
                p.setPen(c.ink);
                p.setBrush(Qt::NoBrush);
                p.drawRect(QRectF(left + 0.15 * wide, y - w.minutes / most * r.height(), 0.7 * wide, w.minutes / most * r.height()));
            }
            for (const auto& [k, m] : w.by_kind) {
                const double h = m * scale / most * r.height();
                p.setPen(c.ink);
                p.setBrush(QBrush(c.accent, patterns[static_cast<std::size_t>(kinds[k]) % patterns.size()]));
                p.drawRect(QRectF(left + 0.15 * wide, y - h, 0.7 * wide, h));
                y -= h;
            }
            p.setPen(c.faint);
            const QString day =
                QLocale().toString(QDate::fromString(QString::fromStdString(w.monday), Qt::ISODate), QStringLiteral("d MMM"));
            if (wide > 34 || i % 2 == 0) p.drawText(QRectF(left - 10, r.bottom() + 3, wide + 20, 16), Qt::AlignHCenter, day);
            if (w.left + w.right > 0)
                p.drawText(QRectF(left - 10, r.bottom() + 20, wide + 20, 16), Qt::AlignHCenter,
                           QStringLiteral("%1 | %2").arg(w.left).arg(w.right));
        }
        p.setPen(c.faint);
        p.drawText(QRectF(2, r.bottom() + 20, 40, 16), Qt::AlignRight, LogView::tr("L | R"));
    }

private:
    const Session& session_;
};

LogView::LogView(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    weeks_ = new Weeks(session_);
    rows_ =
        new RowsModel<PracticeLog>({{tr("Day"), [](const PracticeLog& l) { return text::day(l.day); }},
                                    {tr("What"), [](const PracticeLog& l) { return QString::fromStdString(l.title); }},
                                    {tr("Minutes"), [](const PracticeLog& l) { return QLocale().toString(l.minutes, 'f', 0); }},
                                    {tr("Effort"), [](const PracticeLog& l) { return l.effort ? QString::number(*l.effort) : QString(); }},
                                    {tr("How it felt"), [](const PracticeLog& l) { return QString::fromStdString(l.felt); }},
                                    {tr("Pain"), [](const PracticeLog& l) { return QString::fromStdString(l.pain); }}});
    table_ = table_of(rows_, QStringLiteral("practiceLog"), tr("Practice log"), {1, 4});
    words_ = new QLabel;
    words_->setObjectName(QStringLiteral("logWords"));
    words_->setWordWrap(true);
    auto button = [&](const char* name, const QString& label, auto go) {
        auto* b = new QPushButton(label);
        b->setObjectName(QLatin1String(name));
        connect(b, &QPushButton::clicked, this, go);
        return b;
    };
    auto* row = new QHBoxLayout;
    row->addWidget(button("logAdd", tr("Add practice …"), [this] {
        PracticeLog log;
        log.person = person_;
        log.day = QDate::currentDate().toString(Qt::ISODate).toStdString();
        log.minutes = 20;
        add(log);
    }));
    drop_ = button("logDrop", tr("Take out"), [this] {
        const PracticeLog* l = rows_->at(table_->currentIndex());
        if (!l) return;
        session_.background->run<Result<bool>>(
            this, [lib = session_.library, id = l->id](std::stop_token) { return lib->practice().drop(id); },
            [this](const Result<bool>& ok) { ok ? reload() : words_->setText(text::error(ok.error())); });
    });
    row->addWidget(drop_);
    row->addStretch(1);
    row->addWidget(button("logCsv", tr("CSV …"), [this] { save_as(QStringLiteral("csv")); }));
    row->addWidget(button("logPdf", tr("PDF …"), [this] { save_as(QStringLiteral("pdf")); }));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(8, 8, 8, 8);
    box->addWidget(weeks_, 2);
    box->addWidget(words_);
    box->addWidget(table_, 3);
    box->addLayout(row);
    connect(table_->selectionModel(), &QItemSelectionModel::currentChanged, this,
            [this](const QModelIndex& i) { drop_->setEnabled(i.isValid()); });
    connect(table_, &QTableView::activated, this, [this](const QModelIndex& i) {
        if (const PracticeLog* l = rows_->at(i)) add(*l);
    });
    drop_->setEnabled(false);
}

void LogView::show_person(qint64 id, const QString& name) {
    person_ = id;
    name_ = name;
    reload();
}

void LogView::reload() {
    session_.background->run<Result<std::vector<PracticeLog>>>(
        this, [lib = session_.library, id = person_](std::stop_token) { return lib->practice().of(id); },
        [this, id = person_](Result<std::vector<PracticeLog>> all) {
            if (id != person_) return;
            if (!all) return words_->setText(text::error(all.error()));
            all_ = std::move(*all);
            fill();
        });
}

void LogView::add(const PracticeLog& log) {
    auto* d = new LogDialog(session_, log, this);
    d->setAttribute(Qt::WA_DeleteOnClose);
    connect(d, &LogDialog::kept, this, &LogView::keep);
    connect(d, &LogDialog::stepped, this, [this, person = log.person](int step) { keep_step(person, step); });
    d->open();
}

void LogView::keep_step(qint64 person, int balance_step) {
    session_.background->run<Result<bool>>(
        this,
        [lib = session_.library, person, balance_step](std::stop_token) -> Result<bool> {
            auto facts = lib->people().facts(person);
            if (!facts) return tl::unexpected(facts.error());
            if (facts->balance_step == balance_step) return true;
            facts->balance_step = balance_step;
            return lib->people().set_facts(person, *facts);
        },
        [this](const Result<bool>& ok) {
            if (!ok) words_->setText(text::error(ok.error()));
        });
}

void LogView::keep(const PracticeLog& log) {
    session_.background->run<Result<std::int64_t>>(
        this, [lib = session_.library, log](std::stop_token) { return lib->practice().keep(log); },
        [this](const Result<std::int64_t>& id) {
            if (!id) return words_->setText(text::error(id.error()));
            session_.workspace->touched(0);
            reload();
        });
}

void LogView::fill() {
    std::vector<DoneDay> days;
    int left = 0, right = 0;
    for (const auto& l : all_) {
        DoneDay d{l.day, l.minutes, {}};
        for (const auto& p : l.done) {
            d.parts.push_back({p.kind, p.left, p.right, p.seconds});
            left += p.left, right += p.right;
        }
        days.push_back(std::move(d));
    }
    weeks_->weeks = weeks_of(days, QDate::currentDate().toString(Qt::ISODate).toStdString());
    weeks_->update();
    rows_->set_rows(all_);
    drop_->setEnabled(table_->currentIndex().isValid());
    QStringList words;
    if (left + right > 0) words << tr("Repeats: %1 left, %2 right.").arg(left).arg(right);
    if (!all_.empty() && !all_.front().pain.empty())
        words << tr("Pain last time (%1): make it smaller. Where it stays, ask a licensed clinician.")
                     .arg(QString::fromStdString(all_.front().pain));
    words_->setText(words.join(QLatin1Char(' ')));
    words_->setVisible(!words.isEmpty());
    emit filled();
}

void LogView::save_as(const QString& ending) {
    const QString& folder = session_.settings.export_folder;
    const QString name = QStringLiteral("practice.") + ending;
    const QString file = QFileDialog::getSaveFileName(this, tr("Save the log"), folder.isEmpty() ? name : folder + QLatin1Char('/') + name,
                                                      ending == QLatin1String("csv") ? tr("CSV (*.csv)") : tr("PDF (*.pdf)"));
    if (!file.isEmpty()) ending == QLatin1String("csv") ? write_csv(file) : write_pdf(file);
}

void LogView::write_csv(const QString& file) {
    session_.files().run<Result<bool>>(
        this, [text = practice_csv(all_), path = file.toStdString()](std::stop_token) { return write_whole(path, text); },
        [this, file](const Result<bool>& ok) {
            words_->setText(ok ? tr("Saved: %1").arg(file) : text::error(ok.error())), words_->show();
        });
}

void LogView::write_pdf(const QString& file) {
    QImage weeks(1200, 380, QImage::Format_RGB32);
    weeks.fill(Qt::white);
    {
        QPainter p(&weeks);
        p.scale(1200.0 / std::max(1, weeks_->width()), 380.0 / std::max(1, weeks_->height()));
        weeks_->render(&p);
    }
    QString h =
        QStringLiteral("<h1>%1</h1><p><img src=\"weeks\" width=\"560\"></p><table width=\"100%\" cellspacing=\"0\" cellpadding=\"3\"><tr>")
            .arg((name_.isEmpty() ? tr("Practice") : tr("Practice of %1").arg(name_)).toHtmlEscaped());
    for (int c = 0; c < rows_->columnCount(); ++c)
        h += QStringLiteral("<th align=\"left\">%1</th>")
                 .arg(rows_->headerData(c, Qt::Horizontal, Qt::DisplayRole).toString().toHtmlEscaped());
    h += QStringLiteral("</tr>");
    for (int r = 0; r < rows_->rowCount(); ++r) {
        h += QStringLiteral("<tr>");
        for (int c = 0; c < rows_->columnCount(); ++c)
            h += QStringLiteral("<td>%1</td>").arg(rows_->index(r, c).data().toString().toHtmlEscaped());
        h += QStringLiteral("</tr>");
    }
    h += QStringLiteral("</table><p>%1</p>").arg(text::caution(QStringLiteral("general")).toHtmlEscaped());
    PagePdf page;
    page.title = tr("Practice");
    page.html = h;
    page.font = Theme().font(10);
    page.images = {{QStringLiteral("weeks"), weeks}};
    session_.files().run<Result<bool>>(
        this,
        [page, path = file.toStdString()](std::stop_token) -> Result<bool> {
            const auto bytes = page_pdf(page);
            if (!bytes) return tl::unexpected(bytes.error());
            return write_whole(path, {bytes->constData(), static_cast<std::size_t>(bytes->size())});
        },
        [this, file](const Result<bool>& ok) {
            words_->setText(ok ? tr("Saved: %1").arg(file) : text::error(ok.error())), words_->show();
        });
}

} // namespace bevel::ui
