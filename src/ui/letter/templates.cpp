#include "ui/letter/templates.h"
#include "ui/text/languages.h"
#include <nlohmann/json.hpp>
#include <QCoreApplication>

namespace bevel::ui {
namespace {
struct TemplateWords {
    Q_DECLARE_TR_FUNCTIONS(templates)
};
} // namespace

std::vector<LetterTemplate> shipped_templates(const QString& language) {
    const LanguageScope speaks(language);
    return {{QStringLiteral("full"), TemplateWords::tr("Full letter"), language, TemplateWords::tr("Dear {name}, thank you for your clip."),
             TemplateWords::tr("Take one of these at a time. Warm wishes,"), false, false, false},
            {QStringLiteral("first"), TemplateWords::tr("First letter"), language,
             TemplateWords::tr(
                 "Dear {name}, thank you for your first clip of {movement}. You will read what went well, and then at most three things "
                 "to work on, from the ground up. The pictures show you beside the figure at the same moment."),
             TemplateWords::tr("There is no hurry with any of this. Write to me when something hurts or is not clear. Warm wishes,"), false,
             false, false},
            {QStringLiteral("short"), TemplateWords::tr("Short message"), language,
             TemplateWords::tr("Hello {name}, about your {movement}:"), TemplateWords::tr("Until soon,"), true, false, false}};
}

Result<LetterTemplate> parse_template(const OwnForm& form) {
    const auto j = nlohmann::json::parse(form.body, nullptr, false);
    if (!j.is_object()) return fail(Code::bad_value, "template");
    try {
        LetterTemplate t;
        t.id = QString::fromStdString(form.id);
        t.name = QString::fromStdString(j.at("name").get<std::string>());
        t.language = QString::fromStdString(j.at("language").get<std::string>());
        t.opening = QString::fromStdString(j.at("opening").get<std::string>());
        t.closing = QString::fromStdString(j.at("closing").get<std::string>());
        t.short_form = j.value("short", false);
        t.large = j.value("large", false);
        t.own = true;
        if (t.name.isEmpty()) return fail(Code::bad_value, "template");
        return t;
    } catch (const nlohmann::json::exception&) {
        return fail(Code::bad_value, "template");
    }
}

OwnForm template_text(const LetterTemplate& t) {
    const nlohmann::json j{{"name", t.name.toStdString()},
                           {"language", t.language.toStdString()},
                           {"opening", t.opening.toStdString()},
                           {"closing", t.closing.toStdString()},
                           {"short", t.short_form},
                           {"large", t.large}};
    return {t.id.toStdString(), j.dump(-1, ' ', false, nlohmann::json::error_handler_t::replace)};
}

} // namespace bevel::ui
