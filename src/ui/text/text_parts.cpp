// Parts of linked forms in words.
#include "ui/text/text.h"
#include <QCoreApplication>
#include <set>

namespace bevel::ui::text {
namespace {

struct PartWords {
    Q_DECLARE_TR_FUNCTIONS(PartWords)
};

QString numbers(const std::vector<std::size_t>& parts) {
    QStringList out;
    for (std::size_t i = 0; i < parts.size();) {
        std::size_t k = i;
        while (k + 1 < parts.size() && parts[k + 1] == parts[k] + 1) ++k;
        out << (k > i + 1 ? PartWords::tr("%1 to %2", "parts from … to …").arg(parts[i] + 1).arg(parts[k] + 1)
                : k > i   ? QStringLiteral("%1, %2").arg(parts[i] + 1).arg(parts[k] + 1)
                          : QString::number(parts[i] + 1));
        i = k + 1;
    }
    return out.join(QStringLiteral(", "));
}

} // namespace

QString part_name(const Movement& whole, const std::string& part) {
    const auto k = static_cast<std::size_t>(std::max(1, std::atoi(part.c_str()))) - 1;
    return k < whole.part_names.size() ? said(whole.part_names[k]) : QString();
}

QString part_name(const FormReview& whole, std::size_t part) {
    return part_name(whole.review->movement, std::to_string(part + 1));
}

QString part_seen(const FormReview& whole, const PartSeen& p) {
    using How = PartSeen::How;
    QString how;
    switch (p.how) {
    case How::done:
        how = p.other_join ? PartWords::tr("done, begun from elsewhere than the form has it") : PartWords::tr("done");
        break;
    case How::cut:
        how = PartWords::tr("seen in part");
        break;
    case How::not_seen:
        how = PartWords::tr("not seen: nothing is said of it");
        break;
    case How::unlike:
        how = PartWords::tr("something else is done here");
        break;
    case How::missing:
        how = PartWords::tr("left out");
        break;
    }
    if (p.again) how = PartWords::tr("done again");
    if (whole.goes > 1) how += PartWords::tr(", time %1 through the form").arg(p.go + 1);
    if (p.out_of_order) how = PartWords::tr("done out of order");
    if (p.view && *p.view != whole.review->motion.view) how += PartWords::tr(", seen %1", "from which side").arg(view(*p.view));
    int outside = 0;
    for (const auto k : p.findings) outside += whole.review->findings[k].verdict == Verdict::outside ? 1 : 0;
    if (outside > 0) how += PartWords::tr("; %n figure(s) outside", nullptr, outside);
    if (p.pace > 0 && (p.pace < 0.8 || p.pace > 1.25))
        how += p.pace > 1 ? PartWords::tr("; slower than the form has it (× %1)").arg(QLocale().toString(p.pace, 'f', 1))
                          : PartWords::tr("; quicker than the form has it (× %1)").arg(QLocale().toString(p.pace, 'f', 1));
    return PartWords::tr("%1. %2: %3", "number, name, how a part is done").arg(p.part + 1).arg(part_name(whole, p.part), how);
}

QString parts_seen(const FormReview& whole) {
    using How = PartSeen::How;
    std::vector<std::size_t> missing, unseen, unlike, again, astray;
    std::set<std::size_t> in_order; // in any time through
    for (const auto& p : whole.parts) {
        if (p.again)
            again.push_back(p.part);
        else if (p.out_of_order)
            astray.push_back(p.part);
        else if (p.how == How::done || p.how == How::cut)
            in_order.insert(p.part);
        if (p.how == How::missing) missing.push_back(p.part);
        if (p.how == How::not_seen) unseen.push_back(p.part);
        if (p.how == How::unlike) unlike.push_back(p.part);
    }
    const int all = static_cast<int>(whole.reference->course().parts.size()), done = static_cast<int>(in_order.size());
    QStringList out{done == all ? PartWords::tr("all %n part(s) in their order", nullptr, all)
                                : PartWords::tr("%1 of %2 parts in their order").arg(done).arg(all)};
    if (whole.goes > 1) out << PartWords::tr("begun %n time(s)", nullptr, whole.goes);
    if (!missing.empty()) out << PartWords::tr("left out: %1").arg(numbers(missing));
    if (!unlike.empty()) out << PartWords::tr("something else done: %1").arg(numbers(unlike));
    if (!again.empty()) out << PartWords::tr("done again: %1").arg(numbers(again));
    if (!astray.empty()) out << PartWords::tr("out of order: %1").arg(numbers(astray));
    if (!unseen.empty()) out << PartWords::tr("not seen: %1").arg(numbers(unseen));
    return out.join(QStringLiteral(" · "));
}

} // namespace bevel::ui::text
