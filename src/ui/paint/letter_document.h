// The letter to the student: what went well first, at most three corrections, each with its picture beside the reference.
#pragma once
#include "core/review/review.h"
#include "store/people.h"
#include "ui/paint/theme.h"
#include "ui/text/text.h"
#include <map>
#include <QDate>
#include <QImage>
#include <QRectF>
#include <QString>
#include <QStringList>

namespace bevel::ui {

struct LetterItem {
    std::int64_t clip = 0; // whose correction it is, and
    QString key;           // of which finding (text of its key)
    QString movement;      // of the item, where the letter answers several clips
    QString moment;        // "Shift and part, 0:12.3"
    QString cue;           // what to do
    QString seen;          // "The front knee passes its toes, left, in 2 of 3 repetitions."
    QString figure;        // in small print, where it is wanted: "3 ± 1 cm, asked up to 0 cm"
    QString image, drill;  // a picture for the mind; what isolates it: "Foot alone: …"
    QString homework;      // "Brush the Knee and Push: twice a day, 3 a side, holding 20 s"
    QString caution;
    QImage still, reference;
    std::size_t frame = 0;       // of the still
    bool still_left_out = false; // who it is could not be hidden on it surely
};

struct LetterContent {
    QString student, instructor, place, movement, view;
    QDate date;
    QString opening, praise, closing;
    QList<LetterItem> items; // at most three
    QStringList cautions;    // of the movement, and the general one
    QString language;        // code; of the words that the page adds. Empty: as the program speaks
    QDate next;              // of the next look; invalid: none was named
    bool large = false;      // large type
};

/// What a letter is made from. A finding is named by its key, "check/left", "check/right" or "check/".
struct LetterSource {
    std::filesystem::path clip; // empty: no stills of the student
    const Track* track = nullptr;
    std::shared_ptr<const Review> review;
    std::filesystem::path partner_clip; // of the other clip of a pair
    const Track* partner_track = nullptr;
    std::vector<Finding> corrections;                 // at most three are used, in this order
    std::vector<Decision> decisions;                  // with the instructor's own words
    std::map<std::string, WithCorrection> with;       // drill, image, homework, by text of the key
    const std::vector<Movement>* movements = nullptr; // names of what is to be practised
    bool hide_identity = false;
    bool pictures = true, figures = true;
    Units units;
};
/// "twice a day, 3 a side, holding 20 s", after the movement's name.
QString homework_words(const Homework& h, const std::vector<Movement>* movements);
/// The corrections with their moments, figures, cautions and pictures, and the cautions of the movement. Reads frames of the clip: off the
/// interface thread only. Names, date and free text are the caller's.
LetterContent compose_letter(const LetterSource& source, const Catalogue& catalogue, const Theme& theme);

/// Paints page `number` (0-based) of the letter on A4 in a painter whose units are points (595 x 842). False when there is no such page.
bool paint_letter_page(QPainter& p, const LetterContent& c, int number, const Theme& theme);
int letter_pages(const LetterContent& c);
/// Where each correction stands: its page (0-based) and its box there, in points.
struct LetterPlace {
    int page = 0;
    QRectF box;
};
std::vector<LetterPlace> letter_places(const LetterContent& c);
/// One correction alone in a column `width` points wide: its two pictures side by side, its words below, in the page's type. Gives the
/// height it takes; paints only where `draw`.
double paint_letter_item(QPainter& p, const LetterContent& c, int item, double width, const Theme& theme, bool draw);
/// All that is said of a correction, a sentence each: as read aloud.
QStringList words_of_item(const LetterContent& c, int item);

/// The whole letter as PDF or as one HTML file with its pictures inside. `anonymous`: a PDF without title, dates and program.
Result<QByteArray> letter_pdf(const LetterContent& c, bool anonymous = false);
/// Several letters one after the other, each beginning on a page of its own.
Result<QByteArray> letters_pdf(const std::vector<LetterContent>& letters, const Theme& theme);
QString letter_html(const LetterContent& c);
/// The words alone, as for a short message.
QString letter_text(const LetterContent& c);
/// The same to be said aloud: without figures and numbers.
QString letter_spoken(const LetterContent& c);

/// Width over height of a still.
inline constexpr double still_aspect = 0.8;
/// Still of a finding beside the reference at the same moment, both upright, as large and on the same line of the floor. The fault is
/// marked by the lines of its measure (`line`, MeasureInfo) and named with `seen`. An empty clip path leaves the still empty.
struct Stills {
    QImage still, reference;
    std::size_t frame = 0;
    bool left_out = false;
};
Stills make_stills(const std::filesystem::path& clip, const Track& track, const std::shared_ptr<const Review>& review, const Finding& f,
                   const std::string& line, const QString& seen, bool hide_identity, const Theme& theme);

} // namespace bevel::ui
