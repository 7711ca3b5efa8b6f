#include "ui/paint/fields.h"
#include <cmath>
#include <QCoreApplication>
#include <QRegularExpression>

namespace bevel::ui {
namespace {

struct FieldWords {
    Q_DECLARE_TR_FUNCTIONS(fields)
};

const QStringList& plain() {
    static const QStringList names{QStringLiteral("name"), QStringLiteral("movement"), QStringLiteral("day"),
                                   QStringLiteral("next"), QStringLiteral("me"),       QStringLiteral("place")};
    return names;
}

const QRegularExpression& braces() {
    static const QRegularExpression r(QStringLiteral("\\{([^{}]{1,200})\\}"));
    return r;
}

const Finding* finding_of(const Review& review, const FindingKey& key) {
    for (const auto& f : review.findings)
        if (FindingKey::of(f) == key) return &f;
    return nullptr;
}

QString day_words(const QDate& d) {
    return locale_now().toString(d, QLocale::LongFormat);
}

} // namespace

QString Field::text() const {
    if (what != QLatin1String("figure") && what != QLatin1String("change")) return QStringLiteral("{%1}").arg(what);
    return QStringLiteral("{%1 %2 %3}").arg(what).arg(clip).arg(QString::fromStdString(key.text()));
}

std::optional<Field> field_of(const QString& inside) {
    const QStringList parts = inside.split(QLatin1Char(' '), Qt::SkipEmptyParts);
    if (parts.size() == 1 && plain().contains(parts[0])) return Field{parts[0], 0, {}};
    if (parts.size() != 3 || (parts[0] != QLatin1String("figure") && parts[0] != QLatin1String("change"))) return std::nullopt;
    bool ok = false;
    const qint64 clip = parts[1].toLongLong(&ok);
    if (!ok || clip <= 0) return std::nullopt;
    return Field{parts[0], clip, FindingKey::read(parts[2].toStdString())};
}

QString field_name(const Field& field, const FieldSource& source) {
    static const std::map<QString, const char*> names{{QStringLiteral("name"), QT_TRANSLATE_NOOP("fields", "name")},
                                                      {QStringLiteral("movement"), QT_TRANSLATE_NOOP("fields", "movement")},
                                                      {QStringLiteral("day"), QT_TRANSLATE_NOOP("fields", "day of the clip")},
                                                      {QStringLiteral("next"), QT_TRANSLATE_NOOP("fields", "day of the next look")},
                                                      {QStringLiteral("me"), QT_TRANSLATE_NOOP("fields", "my name")},
                                                      {QStringLiteral("place"), QT_TRANSLATE_NOOP("fields", "school or hall")}};
    if (const auto it = names.find(field.what); it != names.end()) return QCoreApplication::translate("fields", it->second);
    const std::string& check = field.key.check;
    QString name = source.catalogue ? text::check_name(check, *source.catalogue) : QString::fromStdString(check);
    if (field.key.side) name += QStringLiteral(", ") + text::side(*field.key.side);
    return field.what == QLatin1String("change") ? FieldWords::tr("change of %1").arg(name) : FieldWords::tr("figure of %1").arg(name);
}

QString change_words(const ShownChange& c, const Units& units, bool hide_days) {
    const QString unit = QString::fromStdString(c.unit);
    if (hide_days)
        return FieldWords::tr("%1 (± %2) better than before")
            .arg(text::figure(std::abs(c.change.value), unit, units), text::figure(1.96 * c.change.sigma, unit, units));
    const QDate since = QDate::fromString(QString::fromStdString(c.since), Qt::ISODate);
    return FieldWords::tr("%1 (± %2) better since %3")
        .arg(text::figure(std::abs(c.change.value), unit, units), text::figure(1.96 * c.change.sigma, unit, units), day_words(since));
}

Result<QString> filled(const Field& f, const FieldSource& s) {
    const auto refuse = [&](const QString& why) -> Result<QString> {
        return fail(Code::no_field, FieldWords::tr("“%1”: %2").arg(field_name(f, s), why).toStdString());
    };
    if (f.what == QLatin1String("name")) return s.name;
    if (f.what == QLatin1String("movement")) return s.movement;
    if (f.what == QLatin1String("me")) return s.me.isEmpty() ? refuse(FieldWords::tr("your name is not given")) : Result<QString>(s.me);
    if (f.what == QLatin1String("place"))
        return s.place.isEmpty() ? refuse(FieldWords::tr("no school or hall is given")) : Result<QString>(s.place);
    if (s.hide_days && (f.what == QLatin1String("day") || f.what == QLatin1String("next")))
        return refuse(FieldWords::tr("the day is hidden in this letter"));
    if (f.what == QLatin1String("day"))
        return s.day.isValid() ? Result<QString>(day_words(s.day)) : refuse(FieldWords::tr("the clip has no day"));
    if (f.what == QLatin1String("next"))
        return s.next.isValid() ? Result<QString>(day_words(s.next)) : refuse(FieldWords::tr("no day of the next look is chosen"));
    if (f.clip != s.clip) return refuse(FieldWords::tr("it belongs to another clip; put in the one of this clip"));
    if (f.what == QLatin1String("change")) {
        const auto it = s.better.find(f.key.either());
        if (it == s.better.end()) return refuse(FieldWords::tr("it can no longer be said to be better; look at the person's figures"));
        return change_words(it->second, s.units, s.hide_days);
    }
    const Finding* now = s.review ? finding_of(*s.review, f.key) : nullptr;
    if (!now) return refuse(FieldWords::tr("this is not found in the clip any more; look at it in the review"));
    if (now->verdict == Verdict::cannot_tell)
        return refuse(FieldWords::tr("it cannot be told from this clip any more; look at it in the review"));
    if (f.key.direction != Direction::none && now->verdict == Verdict::inside)
        return refuse(FieldWords::tr("it is within its band now; look at it in the review"));
    return text::figure(now->value, QString::fromStdString(now->unit), s.units);
}

Result<QString> filled(const QString& words, const FieldSource& source) {
    QString out;
    qsizetype at = 0;
    for (auto it = braces().globalMatch(words); it.hasNext();) {
        const auto m = it.next();
        out += words.mid(at, m.capturedStart() - at);
        at = m.capturedEnd();
        const auto field = field_of(m.captured(1));
        if (!field) return fail(Code::no_field, FieldWords::tr("“%1”: there is no such field").arg(m.captured()).toStdString());
        auto value = filled(*field, source);
        if (!value) return value;
        out += *value;
    }
    return out + words.mid(at);
}

QStringList typed_figures(const QString& words) {
    static const QRegularExpression number(
        QStringLiteral("\\b\\d+(?:[.,]\\d+)?\\s?(?:°|%|cm\\b|mm\\b|degrees?\\b|Grad\\b|percent\\b|Prozent\\b)"));
    QString bare = words;
    bare.replace(braces(), QString());
    QStringList out;
    for (auto it = number.globalMatch(bare); it.hasNext();) out << it.next().captured();
    return out;
}

} // namespace bevel::ui
