#include "ui/forms/course_view.h"
#include "ui/forms/form_editor.h"
#include "ui/forms/forms_page.h"
#include "ui/text/data_words.h"
#include <QComboBox>
#include <QTableWidget>
#include <QTextBrowser>

namespace bevel::ui {
namespace {

QString list_html(const QString& head, const std::vector<std::string>& words) {
    if (words.empty()) return {};
    QString h = QStringLiteral("<h4>%1</h4><ul>").arg(head.toHtmlEscaped());
    for (const auto& w : words) h += QStringLiteral("<li>%1</li>").arg(said(w).toHtmlEscaped());
    return h + QStringLiteral("</ul>");
}

} // namespace

QString FormsPage::about_html(const Movement& m) const {
    QString h = QStringLiteral("<h3>%1</h3>").arg(said(m.name).toHtmlEscaped());
    if (!m.pinyin.empty()) h += QStringLiteral("<p><i>%1</i></p>").arg(QString::fromStdString(m.pinyin).toHtmlEscaped());
    h += QStringLiteral("<p>%1</p>").arg(said(m.about).toHtmlEscaped());
    h += list_html(tr("Points of attention"), m.attention);
    h += list_html(tr("For the mind"), m.images);
    QStringList trains, views;
    for (const auto& t : m.trains) trains << said(t);
    for (const View v : m.best_views) views << text::view(v);
    const std::array<QString, 4> much{tr("nothing"), tr("a little"), tr("some"), tr("much")};
    if (!trains.isEmpty())
        h += QStringLiteral("<p>%1<br>%2</p>")
                 .arg(tr("Trains: %1.").arg(trains.join(QStringLiteral(", "))).toHtmlEscaped(),
                      tr("Asks of the knees: %1; of the balance: %2.")
                          .arg(much[static_cast<std::size_t>(m.asks.knees)], much[static_cast<std::size_t>(m.asks.balance)])
                          .toHtmlEscaped());
    h += QStringLiteral("<p>%1</p>").arg(tr("Filmed best %1.").arg(views.join(QStringLiteral(", "))).toHtmlEscaped());
    for (const auto& v : m.versions)
        h += (&v == &m.versions.front() ? QStringLiteral("<h4>%1</h4>").arg(tr("Easier ways").toHtmlEscaped()) : QString()) +
             QStringLiteral("<p><b>%1</b>: %2</p>").arg(said(v.name).toHtmlEscaped(), said(v.about).toHtmlEscaped());
    for (const auto& d : m.drills) {
        QStringList rules;
        for (const auto& r : d.rules)
            if (const auto* rule = rule_book().find(r)) rules << said(rule->name);
        h += (&d == &m.drills.front() ? QStringLiteral("<h4>%1</h4>").arg(tr("Drills").toHtmlEscaped()) : QString()) +
             QStringLiteral("<p><b>%1</b>: %2<br><i>%3</i></p>")
                 .arg(said(d.name).toHtmlEscaped(), said(d.about).toHtmlEscaped(),
                      tr("helps with: %1").arg(rules.join(QStringLiteral("; "))).toHtmlEscaped());
    }
    const auto cautions = text::cautions_for({}, &m);
    if (!cautions.isEmpty()) h += QStringLiteral("<h4>%1</h4>").arg(tr("Take care").toHtmlEscaped());
    for (const auto& c : cautions) h += QStringLiteral("<p>%1</p>").arg(c.toHtmlEscaped());
    return h;
}

/// Every check with its band as it is in force, whose it is and why.
QString FormsPage::rules_html(const Movement& original) const {
    Movement m = original;
    if (const auto s = session_.school(school_->currentData().toString().toStdString())) bevel::apply(m, s->changes, BandLevel::school);
    const Units units = session_.settings.units(Motion{});
    QString h;
    for (int f = 0; f < family_count; ++f) {
        QString part;
        for (const auto& c : m.checks) {
            if (family_of(c.rule) != static_cast<Family>(f)) continue;
            const QString unit = QString::fromStdString(unit_of_measure(rule_book(), c.measure).value_or(""));
            QStringList phases;
            for (const auto& p : c.phases) phases << text::phase(m, p);
            // What is asked as a sentence, then the figure that tells it.
            const QString name = session_.catalogue.name(QString::fromStdString(c.measure));
            QString line = QStringLiteral("<b>%1</b>").arg((c.good.empty() ? name : said(c.good)).toHtmlEscaped());
            line += QStringLiteral("<br>%1: %2").arg(name.toHtmlEscaped(), text::band(c.low, c.high, unit, units).toHtmlEscaped());
            if (c.reference) line += QLatin1Char(' ') + tr("against the figure").toHtmlEscaped();
            if (!c.stack.empty() && c.stack.back().level != BandLevel::rule)
                line += QStringLiteral(" <i>(%1)</i>")
                            .arg((c.reason.empty() ? text::band_owner(c.stack.back().level) : said(c.reason)).toHtmlEscaped());
            if (!phases.isEmpty()) line += QStringLiteral("<br><small>%1</small>").arg(phases.join(QStringLiteral(", ")).toHtmlEscaped());
            part += QStringLiteral("<p>%1</p>").arg(line);
        }
        if (!part.isEmpty()) h += QStringLiteral("<h4>%1</h4>").arg(text::family(static_cast<Family>(f)).toHtmlEscaped()) + part;
    }
    return h;
}

void FormsPage::fill_words() {
    auto m = movement();
    if (!m) return;
    editor_->show_movement(*m,
                           std::any_of(session_.shipped.begin(), session_.shipped.end(), [&](const Movement& s) { return s.id == m->id; }));
    about_->setHtml(about_html(*m));
    m = way();
    rules_->setHtml(rules_html(*m));
    const QSignalBlocker quiet(phases_);
    phases_->setRowCount(static_cast<int>(m->phases.size()));
    for (std::size_t i = 0; i < m->phases.size(); ++i) {
        const auto& p = m->phases[i];
        const std::array<QString, 4> cells{said(p.name), p.role.empty() ? QString() : text::role(p.role), text::breath(p.breath),
                                           QLocale().toString(p.duration_s, 'f', 1)};
        for (int c = 0; c < 4; ++c) phases_->setItem(static_cast<int>(i), c, new QTableWidgetItem(cells[static_cast<std::size_t>(c)]));
    }
    show_recorded();
}

/// What was measured at the end of the chosen phase when the movement was learned: mean and spread.
void FormsPage::show_recorded() {
    const auto m = movement();
    recorded_->setVisible(m && m->recorded);
    if (!m || !m->recorded) return;
    const auto row = static_cast<std::size_t>(std::clamp(phases_->currentRow(), 0, static_cast<int>(m->phases.size()) - 1));
    const std::string& phase = m->phases[row].id;
    QStringList from;
    for (const auto& c : m->recorded->clips) from << QString::fromStdString(c);
    QString h =
        QStringLiteral("<p><b>%1</b><br><small>%2</small></p><table cellspacing=\"4\">")
            .arg(tr("Shown at the end of “%1”, led by the %2").arg(text::phase(*m, phase), text::side(m->recorded->lead)).toHtmlEscaped(),
                 tr("%n repetition(s): %1", nullptr, m->recorded->repetitions).arg(from.join(QStringLiteral(", "))).toHtmlEscaped());
    for (const auto& s : m->recorded->spread) {
        if (s.phase != phase) continue;
        QString key = QString::fromStdString(s.measure), side;
        for (const Side of : {Side::left, Side::right})
            if (key.endsWith(QLatin1Char('.') + QString::fromLatin1(side_name(of).data()))) {
                side = QStringLiteral(", ") + text::side(of);
                key.chop(static_cast<int>(side_name(of).size()) + 1);
            }
        const auto* info = session_.catalogue.find(key);
        if (!info || info->hidden) continue;
        h += QStringLiteral("<tr><td>%1</td><td align=\"right\">%2</td></tr>")
                 .arg((info->name() + side).toHtmlEscaped(),
                      text::with_sigma(s.mean, s.sd, info->unit, session_.settings.units(Motion{})).toHtmlEscaped());
    }
    recorded_->setHtml(h + QStringLiteral("</table>"));
}

} // namespace bevel::ui
