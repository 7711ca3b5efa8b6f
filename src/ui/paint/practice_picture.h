// What is shown while practising, readable from four metres: figure, breath, count, what comes next. Painted the same on a screen and into
// a film for the phone.
#pragma once
#include "core/practice/pacer.h"
#include "core/sim/student.h"
#include "ui/paint/theme.h"
#include <functional>
#include <QImage>
#include <stop_token>

namespace bevel::ui {

/// Everything that is on the picture.
struct PracticePicture {
    QString title, amount, side, count, next, words, caption; // words: point of attention, or what is said
    QString left;                                             // time left of the exercise
    QString otherwise;                                        // of a class: what some do instead
    QString facing;                                           // of a class: the side of whoever leads it face to face
    double fullness = 0.5;
    Breath breath = Breath::free;
    double share = 0; // of the session that is done
    QImage figure;    // empty while the figure rests, or is hidden
    bool resting = false, waits = false, running = true;
};
/// Sides are always those of whoever does it. `facing`: somebody leads face to face, whose own side is the other one.
PracticePicture practice_picture(const Timeline& t, const Plan& plan, const std::vector<Movement>& movements, double at_s,
                                 bool facing = false);
void paint_practice(QPainter& p, const QRectF& r, const PracticePicture& picture, const Theme& theme);
/// The breath of our own: a boat between two shores that rises with the in-breath and sinks with the out-breath. Shape and word both tell
/// it.
void paint_breath(QPainter& p, const QRectF& r, double fullness, Breath breath, const Theme& theme);

/// What tells a figure apart: a movement in a graded version.
inline std::string drawn_id(const Movement& m) {
    return m.version.empty() ? m.id : m.id + "~" + m.version;
}
/// Where the figure of a movement is: time of its score for a moment of the movement on a side.
double score_time(const sim::Student& figure, double movement_s, std::optional<Side> side);

/// A film of the whole plan with its sound: figure, counts, breath. Captions as WebVTT beside it, of the same name. cancelled.
struct PracticeFilm {
    Plan plan;
    PacerOptions options;
    int width = 720, height = 1280;
    double fps = 12;
    double azimuth_deg = 0; // 180: from behind
    bool mirrored = true;   // as in a mirror: the figure's left is on the left of the picture
    bool spoken = false;
    std::string language; // of what is said
};
Result<bool> write_practice_film(const std::filesystem::path& file, const PracticeFilm& film, const std::vector<Movement>& movements,
                                 const std::stop_token& stop, const std::function<void(double)>& progress);
/// Spoken words of a timeline: own recordings of the folder by the words' code ("halfway.wav"), else the voice.
Result<std::map<std::size_t, std::shared_ptr<const std::vector<float>>>> spoken_of(const Timeline& t,
                                                                                   const std::vector<Movement>& movements,
                                                                                   const std::string& language,
                                                                                   const std::filesystem::path& recordings,
                                                                                   const std::stop_token& stop);

} // namespace bevel::ui
