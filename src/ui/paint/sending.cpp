#include "ui/paint/sending.h"
#include "core/files.h"
#include "media/sound.h"
#include "ui/paint/hidden.h"
#include "ui/paint/message_card.h"
#include "ui/paint/slow_clip.h"
#include <nlohmann/json.hpp>
#include <QBuffer>
#include <QCoreApplication>
#include <QDateTime>

namespace bevel::ui {
namespace {

Identity identity_of(const LetterOrder& order) {
    return {QString::fromStdString(order.open->person.name), order.record.hide_date, QString::fromStdString(order.alias)};
}

/// Texts, figures and the frames of the pictures, so that what was said can be read without opening the file.
std::string body_of(const LetterContent& c) {
    nlohmann::json items = nlohmann::json::array();
    for (const auto& i : c.items)
        items.push_back({{"moment", i.moment.toStdString()},
                         {"cue", i.cue.toStdString()},
                         {"seen", i.seen.toStdString()},
                         {"figure", i.figure.toStdString()},
                         {"caution", i.caution.toStdString()},
                         {"image", i.image.toStdString()},
                         {"drill", i.drill.toStdString()},
                         {"homework", i.homework.toStdString()},
                         {"frame", i.frame}});
    return nlohmann::json{{"student", c.student.toStdString()},
                          {"date", c.date.toString(Qt::ISODate).toStdString()},
                          {"movement", c.movement.toStdString()},
                          {"opening", c.opening.toStdString()},
                          {"praise", c.praise.toStdString()},
                          {"closing", c.closing.toStdString()},
                          {"next", c.next.toString(Qt::ISODate).toStdString()},
                          {"items", items}}
        .dump();
}

std::string now() {
    return QDateTime::currentDateTime().toString(Qt::ISODate).toStdString();
}

/// A file name goes out too.
Result<bool> name_is_fit(const LetterOrder& order, const std::filesystem::path& file) {
    const QString name = QString::fromStdString(file.stem().string());
    if (order.record.hide_identity && tells(name, identity_of(order))) return fail(Code::tells, file.filename().string());
    return true;
}

} // namespace

QString language_of(const LetterOrder& order) {
    return order.record.language.empty() ? spoken_language() : QString::fromStdString(order.record.language);
}

FieldSource field_source(const LetterOrder& order, const Catalogue& catalogue, Better better) {
    const OpenReview& open = *order.open;
    FieldSource s;
    s.name = QString::fromStdString(open.person.name).section(QLatin1Char(' '), 0, 0);
    s.movement = text::movement(open.review->movement);
    for (std::size_t i = 0; i < order.also.size() && i < order.record.also.size(); ++i)
        if (const QString name = text::movement(order.also[i]->review->movement);
            !order.record.also[i].checks.empty() && name != s.movement)
            s.movement += QStringLiteral(", ") + name;
    s.me = QString::fromStdString(order.record.signed_by);
    s.place = QString::fromStdString(order.record.place);
    s.day = QDate::fromString(QString::fromStdString(open.clip.filmed_on), Qt::ISODate);
    s.next = QDate::fromString(QString::fromStdString(order.record.review_on), Qt::ISODate);
    s.clip = open.clip.id;
    s.review = open.review;
    s.better = std::move(better);
    s.units = order.units;
    s.catalogue = &catalogue;
    s.hide_days = order.record.hide_identity && order.record.hide_date;
    return s;
}

QString better_words(const FindingKey& key, const ShownChange& change, const Catalogue& catalogue, const Units& units, bool hide_days) {
    QString name = text::check_name(key.check, catalogue);
    if (key.side) name += QStringLiteral(", ") + text::side(*key.side);
    return QStringLiteral("%1: %2").arg(name, change_words(change, units, hide_days));
}

namespace {
/// A correction with the clip it is of, so that those of several clips can be put in one order.
struct Said {
    Finding finding;
    LetterItem item;
};

LetterContent content_of(const OpenReview& open, const LetterRecord& record, LetterMatter& matter, const LetterOrder& order,
                         const Library& library, const Catalogue& catalogue) {
    LetterSource source;
    source.clip = open.has_file ? open.file : std::filesystem::path();
    source.track = &open.track;
    source.review = open.review;
    if (open.partner) {
        source.partner_clip = open.partner->has_file ? open.partner->file : std::filesystem::path();
        source.partner_track = &open.partner->track;
    }
    source.hide_identity = order.record.hide_identity;
    source.pictures = !order.record.short_form;
    source.figures = library.settings().get("letter_figures") != "no";
    source.with = record.with;
    source.movements = order.movements.get();
    source.units = order.units;
    source.decisions = std::move(matter.decisions);
    source.corrections = matter.corrections;
    LetterContent c = compose_letter(source, catalogue, Theme()); // letters are printed on white
    for (auto& item : c.items) item.clip = open.clip.id;
    return c;
}

/// The other clips of a visit: their corrections among those of the first, from the ground up over all of them, at most three; their
/// movements and cautions.
Result<LetterContent> with_the_rest(LetterContent c, const std::vector<Finding>& own, const LetterOrder& order, const Library& library,
                                    const Catalogue& catalogue) {
    if (order.also.size() != order.record.also.size()) return fail(Code::no_longer_so, "visit");
    std::vector<Said> all;
    const auto take = [&](const std::vector<Finding>& findings, const LetterContent& of) {
        for (int i = 0; i < of.items.size(); ++i) all.push_back({findings[static_cast<std::size_t>(i)], of.items[i]});
    };
    take(own, c);
    const auto of_movement = [](LetterItem& item, const QString& name) {
        item.movement = name;
        item.moment = QStringLiteral("%1: %2").arg(name, item.moment);
    };
    for (auto& s : all) of_movement(s.item, c.movement);
    QStringList names{c.movement};
    for (std::size_t i = 0; i < order.also.size(); ++i) {
        const OpenReview& open = *order.also[i];
        if (open.person.id != order.open->person.id || open.clip.id != order.record.also[i].clip) return fail(Code::no_longer_so, "visit");
        const LetterRecord record = part_record(order.record, order.record.also[i]);
        auto matter = letter_matter(open, record, library);
        if (!matter) return tl::unexpected(matter.error());
        if (matter->corrections.empty()) continue;
        const auto findings = matter->corrections;
        LetterContent part = content_of(open, record, *matter, order, library, catalogue);
        const QString name = text::movement(open.review->movement);
        for (auto& item : part.items) of_movement(item, name);
        take(findings, part);
        if (!names.contains(name)) names << name;
        for (const auto& caution : part.cautions)
            if (!c.cautions.contains(caution)) c.cautions.insert(std::max(0, static_cast<int>(c.cautions.size()) - 1), caution);
    }
    std::stable_sort(all.begin(), all.end(), [](const Said& a, const Said& b) { return comes_first(a.finding, b.finding); });
    c.items.clear();
    for (const auto& s : all)
        if (c.items.size() < 3) c.items.push_back(s.item);
    c.movement = names.join(QStringLiteral(", "));
    return c;
}
} // namespace

Result<LetterContent> compose(const LetterOrder& order, const Library& library, const Catalogue& catalogue) {
    const OpenReview& open = *order.open;
    // What can no longer be said is refused in the language of the windows, before the letter's own is spoken.
    auto matter = letter_matter(open, order.record, library);
    if (!matter) return tl::unexpected(matter.error());
    {
        const FieldSource fields = field_source(order, catalogue, matter->better);
        for (const std::string* words : {&order.record.opening, &order.record.closing})
            if (auto text = filled(QString::fromStdString(*words), fields); !text) return tl::unexpected(text.error());
    }
    const LanguageScope speaks(language_of(order));
    LetterContent c = content_of(open, order.record, *matter, order, library, catalogue);
    if (!order.record.also.empty()) {
        auto all = with_the_rest(std::move(c), matter->corrections, order, library, catalogue);
        if (!all) return all;
        c = std::move(*all);
    }
    c.language = language_of(order);
    c.student = QString::fromStdString(open.person.name);
    c.instructor = QString::fromStdString(order.record.signed_by);
    c.place = QString::fromStdString(order.record.place);
    c.date = QDate::fromString(QString::fromStdString(open.clip.filmed_on), Qt::ISODate);
    c.next = QDate::fromString(QString::fromStdString(order.record.review_on), Qt::ISODate);
    c.large = order.record.large;
    const bool no_days = order.record.hide_identity && order.record.hide_date;
    if (matter->grown)
        c.praise = better_words(*matter->grown, matter->better.at(*matter->grown), catalogue, order.units, no_days) + QLatin1Char('.');
    else if (matter->inside)
        c.praise = text::praise(*matter->inside, open.review->movement);
    const FieldSource fields = field_source(order, catalogue, std::move(matter->better));
    for (const auto& [to, words] : {std::pair{&c.opening, &order.record.opening}, {&c.closing, &order.record.closing}}) {
        auto text = filled(QString::fromStdString(*words), fields);
        if (!text) return tl::unexpected(text.error());
        *to = *text;
    }
    return order.record.hide_identity ? hidden(std::move(c), identity_of(order)) : Result<LetterContent>(std::move(c));
}

Result<Outgoing> send_letter(const LetterOrder& order, const std::filesystem::path& file, Library& library, const Catalogue& catalogue) {
    if (auto ok = name_is_fit(order, file); !ok) return tl::unexpected(ok.error());
    if (auto ok = library.letters().save(order.record); !ok) return tl::unexpected(ok.error());
    auto content = compose(order, library, catalogue);
    if (!content) return tl::unexpected(content.error());
    const bool html = file.extension() == ".html", plain = file.extension() == ".txt";
    auto bytes = html    ? Result<QByteArray>(letter_html(*content).toUtf8())
                 : plain ? Result<QByteArray>(letter_text(*content).toUtf8())
                         : letter_pdf(*content, order.record.hide_identity);
    if (!bytes) return tl::unexpected(bytes.error());
    const std::string_view all(bytes->constData(), static_cast<std::size_t>(bytes->size()));
    if (auto ok = write_whole(file, all); !ok) return tl::unexpected(ok.error());
    SentLetter s = sent_of(*order.open, order.record, html ? "html" : plain ? "text" : "pdf", file, now());
    s.body = body_of(*content);
    s.file = std::string(all);
    if (auto ok = library.letters().keep_sent(s); !ok) return tl::unexpected(ok.error());
    return Outgoing{std::move(*content), std::move(*bytes)};
}

Result<std::vector<std::filesystem::path>> send_cards(const LetterOrder& order, const std::filesystem::path& file, Library& library,
                                                      const Catalogue& catalogue) {
    if (auto ok = name_is_fit(order, file); !ok) return tl::unexpected(ok.error());
    LetterOrder with_pictures = order;
    with_pictures.record.short_form = false;
    const auto content = compose(with_pictures, library, catalogue);
    if (!content) return tl::unexpected(content.error());
    std::vector<std::filesystem::path> out;
    for (int i = 0; i < content->items.size(); ++i) {
        QByteArray bytes;
        QBuffer buffer(&bytes);
        buffer.open(QIODevice::WriteOnly);
        message_card(*content, i, Theme()).save(&buffer, "PNG");
        auto path = file;
        if (content->items.size() > 1)
            path.replace_filename(file.stem().string() + "-" + std::to_string(i + 1) + file.extension().string());
        const std::string_view all(bytes.constData(), static_cast<std::size_t>(bytes.size()));
        if (auto ok = write_whole(path, all); !ok) return tl::unexpected(ok.error());
        SentLetter s = sent_of(*order.open, order.record, "card", path, now());
        s.body = body_of(*content);
        s.file = std::string(all);
        if (auto ok = library.letters().keep_sent(s); !ok) return tl::unexpected(ok.error());
        out.push_back(path);
    }
    return out;
}

Result<bool> send_spoken(const LetterOrder& order, const std::filesystem::path& file, Library& library, const Catalogue& catalogue,
                         const std::stop_token& stop) {
    if (auto ok = name_is_fit(order, file); !ok) return ok;
    if (file.extension() != ending_of("sound")) return fail(Code::bad_value, "ending");
    LetterOrder words = order;
    words.record.short_form = true; // no pictures are needed
    const auto content = compose(words, library, catalogue);
    if (!content) return tl::unexpected(content.error());
    const auto said = speak_words(letter_spoken(*content).toStdString(), content->language.toStdString());
    if (!said) return tl::unexpected(said.error());
    if (auto ok = write_sound(file, *said, stop); !ok) return ok;
    const auto bytes = read_text(file, 64U << 20U);
    if (!bytes) return tl::unexpected(bytes.error());
    SentLetter s = sent_of(*order.open, order.record, "sound", file, now());
    s.body = body_of(*content);
    s.file = *bytes;
    return library.letters().keep_sent(s).map([](std::int64_t) { return true; });
}

namespace {
/// As a printer without colours has it.
LetterContent in_grey(LetterContent c) {
    for (auto& item : c.items)
        for (QImage* im : {&item.still, &item.reference})
            if (!im->isNull()) *im = im->convertToFormat(QImage::Format_Grayscale8);
    return c;
}
Theme black_on_white() {
    Theme t;
    t.palette.ink = t.palette.accent = t.palette.inside = t.palette.outside = Qt::black;
    t.palette.faint = QColor(70, 70, 70);
    t.palette.line = QColor(120, 120, 120);
    return t;
}
} // namespace

Result<EveningPrint> print_evening(const std::string& day, const std::filesystem::path& file, const Forms& forms,
                                   std::shared_ptr<const std::vector<Movement>> movements,
                                   const std::function<Units(const OpenReview&)>& units, Library& library, const Catalogue& catalogue,
                                   const std::stop_token& stop) {
    const auto lines = library.letters().lines();
    if (!lines) return tl::unexpected(lines.error());
    EveningPrint out;
    std::vector<std::pair<LetterOrder, LetterContent>> all;
    for (const auto& line : *lines) {
        if (stop.stop_requested()) return fail(Code::cancelled, "");
        if (line.sent_on != day) continue;
        const auto records = library.letters().of(line.clip);
        if (!records) return tl::unexpected(records.error());
        const auto open = load_review(library, forms, line.clip, spoken_language().toStdString());
        if (records->empty() || !open) {
            out.left_out << QString::fromStdString(line.name);
            continue;
        }
        if (answered_elsewhere(library, records->front())) continue;
        auto also = load_visit(library, forms, records->front(), (*open)->person.id, spoken_language().toStdString());
        if (!also) {
            out.left_out << QString::fromStdString(line.name);
            continue;
        }
        LetterOrder order{*open, records->front(), units(**open), movements, line.alias, std::move(*also)};
        order.record.large = true;
        auto content =
            name_is_fit(order, file) ? compose(order, library, catalogue) : tl::unexpected(Error{Code::tells, file.filename().string()});
        if (content)
            all.emplace_back(std::move(order), in_grey(std::move(*content)));
        else
            out.left_out << QString::fromStdString(line.name);
    }
    if (all.empty()) return out;
    std::vector<LetterContent> contents;
    for (const auto& [order, content] : all) contents.push_back(content);
    auto pdf = letters_pdf(contents, black_on_white());
    if (!pdf) return tl::unexpected(pdf.error());
    for (const auto& [order, content] : all)
        if (auto ok = keep_printed(order, content, library); !ok) return tl::unexpected(ok.error());
    out.pdf = std::move(*pdf);
    out.letters = static_cast<int>(all.size());
    return out;
}

Result<bool> keep_printed(const LetterOrder& order, const LetterContent& content, Library& library) {
    const auto bytes = letter_pdf(content, order.record.hide_identity);
    if (!bytes) return tl::unexpected(bytes.error());
    SentLetter s = sent_of(*order.open, order.record, "print", {}, now());
    s.body = body_of(content);
    s.file = std::string(bytes->constData(), static_cast<std::size_t>(bytes->size()));
    return library.letters().keep_sent(s).map([](std::int64_t) { return true; });
}

Result<bool> send_clip(const LetterOrder& order, std::int64_t clip, const std::string& finding, const std::filesystem::path& file,
                       std::uintmax_t most_bytes, Library& library, const std::stop_token& stop,
                       const std::function<void(double)>& progress) {
    if (auto ok = name_is_fit(order, file); !ok) return ok;
    const OpenReview* from = order.open.get();
    for (const auto& other : order.also)
        if (other->clip.id == clip) from = other.get();
    const auto& all = from->review->findings;
    const auto f = std::find_if(all.begin(), all.end(), [&](const Finding& x) { return FindingKey::read(finding).means(x); });
    if (f == all.end()) return fail(Code::not_found, finding);
    const OpenReview& of = from->of(*f);
    SlowClip what = stretch_of(*f, *of.review);
    what.hide = order.record.hide_identity;
    what.most_bytes = most_bytes;
    if (auto ok = write_slow_clip(file, of.file, of.track, what, Theme(), stop, progress); !ok) return ok;
    SentLetter s = sent_of(*from, order.record, "clip", file, now());
    s.body = nlohmann::json{{"finding", finding}, {"from_s", what.from_s}, {"to_s", what.to_s}}.dump();
    return library.letters().keep_sent(s).map([](std::int64_t) { return true; });
}

} // namespace bevel::ui
