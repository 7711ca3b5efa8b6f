#include "ui/text/help.h"
#include "ui/text/test_words.h"
#include <QCoreApplication>

namespace bevel::ui {
namespace {

struct HelpWords {
    Q_DECLARE_TR_FUNCTIONS(help)
};

QString e(const QString& s) {
    return s.toHtmlEscaped();
}

QString heading(const QString& s) {
    return QStringLiteral("<h2>%1</h2>").arg(e(s));
}

QString paragraph(const QString& s) {
    return QStringLiteral("<p>%1</p>").arg(e(s));
}

QString picture(const QString& name) {
    return QStringLiteral("<img src=\"%1\">").arg(name);
}

HelpPage marks() {
    QString h = heading(HelpWords::tr("Marks and pictures"));
    h += QStringLiteral("<table cellpadding=\"6\">");
    for (const auto& [mark, words] :
         {std::pair{"inside", HelpWords::tr("Inside the band.")},
          {"edge", HelpWords::tr("At the edge: outside by less than matters, or not certain enough to call it outside.")},
          {"outside", HelpWords::tr("Outside. The slope shows by how much; the thin end points the way to correct.")},
          {"cannot_tell", HelpWords::tr("Cannot be told from this clip. Why comes with it, and what to film instead.")}})
        h += QStringLiteral("<tr><td>%1</td><td>%2</td></tr>").arg(picture(QStringLiteral("mark:") + QLatin1String(mark)), e(words));
    h += QStringLiteral("</table>");
    h += paragraph(HelpWords::tr(
        "The column is read from the ground up: what is wrong below is often the cause of what shows above. Keys 1 to 8 count "
        "from the ground."));
    h += paragraph(
        HelpWords::tr("The tide shows the share of the weight on each foot. A solid rail is a foot flat on the floor, a dashed one heel or "
                      "toes only, none a foot in the air; the thin line is the reference."));
    h += paragraph(HelpWords::tr("Student and reference always stand at the same moment of the movement, not at the same second."));
    h += paragraph(HelpWords::tr(
        "Two phones at once, one in front and one at a side, tell more than one after the other: clips that were paired are held against "
        "each "
        "other, their clocks told from the movement, and where they show one performance the body stands in the room. Then turns, knees "
        "and "
        "both directions of the stance are told from both together, and Room shows it from any side. Start both phones before the student "
        "begins; how they are placed and when they are started is found out."));
    h += paragraph(
        HelpWords::tr("Leave the sound of both films on, and clap once: what both phones heard tells how their clocks differ, nearer than "
                      "the movement does, and Arrivals offers the second film by itself. Nothing of the sound is kept beside the film."));
    h += paragraph(HelpWords::tr("Of a clip that was filmed obliquely one body is fitted to the whole clip, in the background: constant "
                                 "lengths, feet on the floor and "
                                 "knees that bend one way tell knee bend, thigh, knee past the toe, toe-out, stance length and turns, with "
                                 "wider errors. What a raised "
                                 "heel, the trunk or the arms do is not told from there."));
    h += paragraph(HelpWords::tr(
        "A figure stands with its error: 12 ± 2° means that two times in three the true value lies between 10 and 14. Hatching "
        "shows where nothing can be told."));
    return {QStringLiteral("marks"), HelpWords::tr("Marks and pictures"), h};
}

HelpPage measures(const Catalogue& catalogue, Family f) {
    QString h = heading(text::family(f));
    h += QStringLiteral("<p>%1</p>").arg(picture(QStringLiteral("body:%1").arg(static_cast<int>(f))));
    h += QStringLiteral("<h3>%1</h3>").arg(e(HelpWords::tr("What is measured")));
    for (const auto* m : catalogue.of(f))
        h += QStringLiteral("<p><b>%1</b> (%2)<br>%3<br><i>%4</i></p>")
                 .arg(e(m->name()),
                      e(text::shown_unit(m->unit).suffix.trimmed().isEmpty() ? HelpWords::tr("a number")
                                                                             : text::shown_unit(m->unit).suffix.trimmed()),
                      e(m->definition()), e(HelpWords::tr("Seen: %1").arg(m->seen_from())));
    QString rules;
    for (const auto& r : rule_book().rules)
        for (const auto& rc : r.checks) {
            const auto* m = catalogue.find(QString::fromStdString(rc.check.measure));
            if (!m || m->family != f) continue;
            rules += QStringLiteral("<p><b>%1 · %2</b> (%3)<br>%4")
                         .arg(e(QString::fromStdString(r.id)), e(said(r.name)), e(text::severity(r.severity)),
                              e(text::rule_sentence(rc, catalogue)));
            for (const Cue* cue : {&rc.check.cue_low, &rc.check.cue_high})
                if (!cue->usual.empty()) rules += QStringLiteral("<br>“%1”").arg(e(said(cue->usual)));
            for (const auto& c : r.cautions)
                if (const QString words = text::caution(QString::fromStdString(c)); !words.isEmpty())
                    rules += QStringLiteral("<br><i>%1</i>").arg(e(words));
            rules += QStringLiteral("</p>");
        }
    if (!rules.isEmpty()) h += QStringLiteral("<h3>%1</h3>").arg(e(HelpWords::tr("Rules of form"))) + rules;
    return {QString::fromUtf8(family_name(f).data(), static_cast<qsizetype>(family_name(f).size())), text::family(f), h};
}

HelpPage filming() {
    QString h = heading(HelpWords::tr("How to film"));
    for (const QString& s :
         {HelpWords::tr("The camera at hip height, level, and still: on a stand or a shelf."),
          HelpWords::tr("The whole body in the picture from head to both feet, with floor below the feet, for the whole clip."),
          HelpWords::tr(
              "Straight from the front, the back or a side. Knees and width are seen from the front, lean and length from a side."),
          HelpWords::tr("Stand quietly for two seconds before you begin: figures that compare with standing need it."),
          HelpWords::tr("Light from the front, plain clothes that show the knees, thirty frames a second or more."),
          HelpWords::tr("A door frame or another upright edge in the picture tells the true vertical.")})
        h += paragraph(s);
    return {QStringLiteral("filming"), HelpWords::tr("How to film"), h};
}

HelpPage cautions() {
    QString h = heading(HelpWords::tr("Cautions"));
    for (const char* code : {"general", "knees", "balance", "dizziness", "overhead", "bends"})
        h += paragraph(text::caution(QLatin1String(code)));
    h += paragraph(HelpWords::tr("Bevel advises on form. It makes no diagnosis and keeps none."));
    return {QStringLiteral("cautions"), HelpWords::tr("Cautions"), h};
}

HelpPage made_of() {
    QString h = heading(HelpWords::tr("What Bevel is made of"));
    h += paragraph(HelpWords::tr("Bevel is free software under the GNU General Public License, version 3 or later."));
    h += QStringLiteral("<table cellpadding=\"4\">");
    for (const auto& [name, licence] : {std::pair{"Qt 6", "LGPL-3.0"},
                                        {"FFmpeg (libav)", "LGPL-2.1+"},
                                        {"Eigen", "MPL-2.0"},
                                        {"SQLite", "public domain"},
                                        {"XNNPACK, pthreadpool", "BSD"},
                                        {"FlatBuffers", "Apache-2.0"},
                                        {"nlohmann/json", "MIT"},
                                        {"tl::expected", "CC0-1.0"},
                                        {"QPDF", "Apache-2.0"},
                                        {"libarchive", "BSD"},
                                        {"Nettle", "LGPL-3.0+"},
                                        {"Open Sans", "OFL-1.1"},
                                        {"body networks of @mediapipe/pose", "Apache-2.0"}})
        h += QStringLiteral("<tr><td>%1</td><td>%2</td></tr>").arg(QLatin1String(name), QLatin1String(licence));
    h += QStringLiteral("</table>");
    h += paragraph(
        HelpWords::tr("Lengths and masses of the body: Winter 2009, after Drillis and Contini; de Leva 1996; Gordon et al. 1989."));
    h += paragraph(HelpWords::tr("Version %1").arg(QCoreApplication::applicationVersion()));
    return {QStringLiteral("made_of"), HelpWords::tr("What Bevel is made of"), h};
}

/// How classes are meant.
HelpPage classes_page() {
    QString h = heading(HelpWords::tr("Classes"));
    h += paragraph(
        HelpWords::tr("One plan for all. It is made of what more than half of those who are here may do; everybody else's way of each "
                      "exercise stands beside it: with something to hold, an easier version, another movement of its kind, or a "
                      "rest. Each of them passes what was agreed with that person and what the day asks for."));
    h += paragraph(
        HelpWords::tr("The screen in the hall and the voice say another way to all, without a name. Names and limits stand on this "
                      "screen and on the leader's sheet alone."));
    h += paragraph(
        HelpWords::tr("In common: of each person the newest clip of a movement counts. “7 of 12” are those whose figures lie beyond "
                      "the band more likely than within; how sure that is comes from the errors of their figures. A letter to the "
                      "class tells no share of fewer than five people."));
    return {QStringLiteral("classes"), HelpWords::tr("Classes"), h};
}

/// How courses are meant.
HelpPage courses_page() {
    QString h = heading(HelpWords::tr("Courses"));
    h += paragraph(HelpWords::tr(
        "A course is of one person and lasts 4 to 12 weeks. Each movement, correction, form and step of balance is a thread: it "
        "begins, comes back the week after and then less and less often, and rests between. One new thing a week: what a letter "
        "asked for comes first. One week in four is lighter, the last one is from memory. A clip is asked for every second week "
        "and looked at in the week after."));
    h += paragraph(HelpWords::tr(
        "What a person may not do is not in it. When a limit, a new letter or two clips that show a correction settled change "
        "what is known, it is said above the weeks, and the weeks from now on follow when you say so. A correction is settled "
        "where it is inside beyond its error, in every phase, in two clips two weeks apart that tell it."));
    h += paragraph(HelpWords::tr(
        "A lesson or a day at home of any week is planned from it, as that day asks: the day's limits hold whatever the course "
        "says. At home it never asks for closed eyes."));
    return {QStringLiteral("courses"), HelpWords::tr("Courses"), h};
}

/// How learning to see is meant.
HelpPage seeing_page() {
    QString h = heading(HelpWords::tr("Seeing"));
    h += paragraph(HelpWords::tr(
        "For whoever learns to see: a clip without figures. Look as often and as slowly as you like, say what you see, on which side "
        "and at which moment, put first what you would say first, and then see what is there."));
    h += paragraph(HelpWords::tr(
        "A virtual student's clip has faults that are known; what counts as there is what its review finds from the side it is filmed "
        "from, and finds from all sides too. Of a clip of the library it is what its review says; what the instructor set aside counts "
        "for nothing. Clips of the library are shown of people alone who agreed to it in People, and nobody is named."));
    h += paragraph(HelpWords::tr(
        "Counted are things found, missed, and said that are not there, the right side, the right moment (half a second before or "
        "after is right too), and the order: what can hurt first, then from the ground up. What is at the edge or cannot be told from "
        "that side counts for nothing. These are counts of clips, not a mark of a person."));
    return {QStringLiteral("seeing"), HelpWords::tr("Seeing"), h};
}

HelpPage tests_page() {
    QString h = heading(HelpWords::tr("Quiet tests"));
    h += paragraph(text::quiet_test_not_when());
    for (const auto t : text::quiet_tests)
        h += QStringLiteral("<p><b>%1</b><br>%2</p>").arg(e(text::quiet_test(t)), e(text::quiet_test_set_up(t)));
    return {QStringLiteral("tests"), HelpWords::tr("Quiet tests"), h};
}

} // namespace

std::vector<HelpPage> help_pages(const Catalogue& catalogue) {
    std::vector<HelpPage> pages{marks(), filming()};
    for (int f = 0; f < family_count; ++f) pages.push_back(measures(catalogue, static_cast<Family>(f)));
    pages.push_back(classes_page());
    pages.push_back(courses_page());
    pages.push_back(tests_page());
    pages.push_back(seeing_page());
    pages.push_back(cautions());
    pages.push_back(made_of());
    return pages;
}

} // namespace bevel::ui
