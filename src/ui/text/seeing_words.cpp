#include "ui/text/seeing_words.h"
#include "ui/text/class_words.h"
#include "ui/text/known_check.h"
#include <QCoreApplication>

namespace bevel::ui::text {
namespace {
struct SeeingWords {
    Q_DECLARE_TR_FUNCTIONS(text)
};
} // namespace

QString seeing_level(SeeingLevel l) {
    switch (l) {
    case SeeingLevel::plain:
        return SeeingWords::tr("plain", "how hard a clip is");
    case SeeingLevel::clear:
        return SeeingWords::tr("clear", "how hard a clip is");
    case SeeingLevel::several:
        return SeeingWords::tr("several", "how hard a clip is");
    case SeeingLevel::small:
        return SeeingWords::tr("small", "how hard a clip is");
    case SeeingLevel::fine:
        break;
    }
    return SeeingWords::tr("fine", "how hard a clip is");
}

QString seeing_level_about(SeeingLevel l) {
    switch (l) {
    case SeeingLevel::plain:
        return SeeingWords::tr("One thing, large, and six to choose from.");
    case SeeingLevel::clear:
        return SeeingWords::tr("One thing, clear, and twelve to choose from.");
    case SeeingLevel::several:
        return SeeingWords::tr("Two or three things, clear; any of the movement's.");
    case SeeingLevel::small:
        return SeeingWords::tr("Up to three things, small, from any side; or nothing at all.");
    case SeeingLevel::fine:
        break;
    }
    return SeeingWords::tr("Up to three things, small, and not in every repetition; or nothing at all.");
}

QString sayable(const Sayable& s, const Catalogue& catalogue) {
    return missed(s.check, s.direction, catalogue);
}

QString said_side(SaidSide s) {
    switch (s) {
    case SaidSide::left:
        return side(Side::left);
    case SaidSide::right:
        return side(Side::right);
    case SaidSide::both:
        return SeeingWords::tr("both sides");
    case SaidSide::none:
        break;
    }
    return SeeingWords::tr("no side");
}

QString phase_at(const Movement& m, const Alignment& alignment, double t) {
    if (const Repetition* r = alignment.at(t))
        for (const auto& p : r->phases)
            if (t >= p.start_s && t <= p.end_s) return phase(m, p.id);
    return {};
}

QString said_of(const Said& s, const Movement& m, const Review& review, const Catalogue& catalogue) {
    QString what = missed(s.check, s.direction, catalogue);
    if (s.side != SaidSide::none) what = SeeingWords::tr("%1, %2", "what is seen, on which side").arg(what, said_side(s.side));
    const QString part = phase_at(m, review.alignment, s.time_s);
    return part.isEmpty()
               ? SeeingWords::tr("%1, at %2", "what is seen, the moment").arg(what, time(s.time_s))
               : SeeingWords::tr("%1, at %2 (%3)", "what is seen, the moment, the part of the movement").arg(what, time(s.time_s), part);
}

QString where_visible(const Visible& v, const Movement& m, const Review& review) {
    QStringList parts, out;
    if (v.left && v.right)
        out << said_side(SaidSide::both);
    else if (v.left || v.right)
        out << side(v.left ? Side::left : Side::right);
    for (const auto& s : v.spans) {
        const QString name = phase_at(m, review.alignment, 0.5 * (s.from_s + s.to_s));
        if (!name.isEmpty() && !parts.contains(name)) parts << name;
    }
    if (parts.size() > 3)
        out << SeeingWords::tr("most of the time");
    else if (!parts.isEmpty())
        out << parts.join(QStringLiteral(", "));
    out << SeeingWords::tr("most at %1").arg(time(v.time_s));
    return out.join(QStringLiteral("; "));
}

QString how_large(const Visible& v, const Review& review, const Units& units) {
    const Finding& f = review.findings[v.finding];
    return SeeingWords::tr("%1, asked: %2").arg(with_sigma(f.value, f.sigma, QString::fromStdString(f.unit), units), aim(f, units));
}

QString seen_mark(const std::optional<SeenMark>& mark) {
    if (!mark) return SeeingWords::tr("missed");
    switch (*mark) {
    case SeenMark::found:
        return SeeingWords::tr("found");
    case SeenMark::again:
        return SeeingWords::tr("said again");
    case SeenMark::invented:
        return SeeingWords::tr("not there");
    case SeenMark::open:
        return SeeingWords::tr("at the edge: not counted");
    case SeenMark::untold:
        break;
    }
    return SeeingWords::tr("cannot be told from here: not counted");
}

QString seen_count(const SeenCount& c) {
    const int there = static_cast<int>(c.found_by.size()), invented = c.of(SeenMark::invented);
    QStringList out;
    if (there == 0)
        out << (invented == 0 ? SeeingWords::tr("Nothing is there, and nothing was said that is not")
                              : SeeingWords::tr("Nothing is there"));
    else
        out << SeeingWords::tr("%1 of %2 found").arg(c.found()).arg(there);
    if (invented > 0) out << SeeingWords::tr("said, and not there: %1").arg(invented);
    return out.join(QStringLiteral("; ")) + QLatin1Char('.');
}

QString seen_how(const SeenCount& c) {
    QStringList out;
    int sides = 0, right = 0, moments = 0, in_time = 0;
    for (std::size_t i = 0; i < c.found_by.size(); ++i) {
        if (c.side_right[i]) ++sides, right += *c.side_right[i] ? 1 : 0;
        if (c.moment_right[i]) ++moments, in_time += *c.moment_right[i] ? 1 : 0;
    }
    if (sides > 0) out << SeeingWords::tr("Sides: %1 of %2 right.").arg(right).arg(sides);
    if (moments > 0) out << SeeingWords::tr("Moments: %1 of %2 right.").arg(in_time).arg(moments);
    if (c.pairs > 0) out << SeeingWords::tr("Order: %1 of %2 pairs as they would be said.").arg(c.in_order).arg(c.pairs);
    if (c.first_right)
        out << (*c.first_right ? SeeingWords::tr("What you say first is what comes first.")
                               : SeeingWords::tr("Something else comes first: what can hurt, then from the ground up."));
    return out.join(QLatin1Char(' '));
}

QString seen_sum(const SeenSum& s) {
    if (s.rounds == 0) return SeeingWords::tr("Nothing was looked at yet.");
    QStringList out{SeeingWords::tr("%n clip(s)", nullptr, s.rounds), SeeingWords::tr("%1 of %2 things found").arg(s.found).arg(s.there),
                    SeeingWords::tr("said, and not there: %1").arg(s.invented)};
    if (s.pairs > 0) out << SeeingWords::tr("%1 of %2 pairs in order").arg(s.in_order).arg(s.pairs);
    if (s.firsts > 0) out << SeeingWords::tr("the first one right in %1 of %2").arg(s.firsts_right).arg(s.firsts);
    if (s.nothing > 0) out << SeeingWords::tr("%1 of %2 clips with nothing in them left alone").arg(s.nothing_right).arg(s.nothing);
    return out.join(QStringLiteral(" · "));
}

QString seen_round(const SeenRound& r) {
    const SeenSum s = sum_of({&r, 1});
    QStringList out;
    out << (s.there == 0 ? SeeingWords::tr("nothing was there") : SeeingWords::tr("%1 of %2 found").arg(s.found).arg(s.there));
    if (s.invented > 0) out << SeeingWords::tr("said, and not there: %1").arg(s.invented);
    return out.join(QStringLiteral(", "));
}

QString see_next(const SeeNext& n) {
    QStringList out;
    switch (n.why) {
    case SeeNext::Why::first:
        out << SeeingWords::tr("Begin with what is plain.");
        break;
    case SeeNext::Why::goes_on:
        out << SeeingWords::tr("Go on with “%1”.").arg(seeing_level(n.level));
        break;
    case SeeNext::Why::finer:
        out << SeeingWords::tr("Nothing missed in the last four clips, and nothing said that was not there: try “%1”.")
                   .arg(seeing_level(n.level));
        break;
    case SeeNext::Why::plainer:
        out << SeeingWords::tr("Less than half was found in the last three clips: go back to “%1” for a while.").arg(seeing_level(n.level));
        break;
    }
    const Rule* rule = rule_book().find(n.rule);
    if (!rule || !n.view) return out.join(QLatin1Char(' '));
    QStringList counts;
    if (n.missed > 0) counts << SeeingWords::tr("missed %1 of %2 times").arg(n.missed).arg(n.there);
    if (n.invented > 0) counts << SeeingWords::tr("said %n time(s) where it was not", nullptr, n.invented);
    out << SeeingWords::tr("Look at this most, %1: %2 (%3).", "from which view, what, how often")
               .arg(view(*n.view), bevel::ui::said(rule->name), counts.join(QStringLiteral(", ")));
    return out.join(QLatin1Char(' '));
}

} // namespace bevel::ui::text
