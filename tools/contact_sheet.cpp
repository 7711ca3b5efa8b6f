// Draws a movement as a sheet of pictures, one every so many seconds, to see how it plays: bevel-contact-sheet MOVEMENT[/VERSION] VIEW SEED
// OUT.png [EVERY_S] [FAULT or -] [FAMILY 0-3]
#include "core/sim/take.h"
#include "media/clip.h"
#include <cstdio>
#include <cstdlib>
#include <QGuiApplication>
#include <QImage>
#include <QPainter>

int main(int argc, char** argv) {
    using namespace bevel;
    if (argc < 5) return 2;
    const QGuiApplication app(argc, argv); // for the labels
    const auto dir = find_data_dir(argv[0]);
    const std::string what = argv[1]; // id, or id/graded version
    const auto slash = what.find('/');
    auto movement = load_movement(dir / "movements" / (what.substr(0, slash) + ".json"));
    if (movement && slash != std::string::npos) movement = Movement(movement->as(what.substr(slash + 1)));
    const auto view = view_from_name(argv[2]);
    if (!movement || !view) return 2;
    auto o = sim::take_of(static_cast<std::uint64_t>(std::atoi(argv[3])), 1.70);
    o.student.score.repetitions = 1;
    o.phone.view = *view;
    o.phone.fps = 10;
    if (argc > 7) o.family = static_cast<sim::Looks::Family>(std::atoi(argv[7]) % 4);
    if (argc > 6 && std::string_view(argv[6]) != "-")
        if (auto f = sim::parse_fault(argv[6])) o.student.faults.push_back(*f);
    const sim::Take take(*movement, o);
    const double every = argc > 5 ? std::atof(argv[5]) : 1.0;
    const int columns = 6, w = 300, h = 330;
    const int count = std::min(30, static_cast<int>(static_cast<double>(take.frames()) / (every * o.phone.fps)));
    QImage sheet(columns * w, (count + columns - 1) / columns * h, QImage::Format_RGB32);
    sheet.fill(Qt::white);
    QPainter p(&sheet);
    for (int i = 0; i < count; ++i) {
        const auto f = static_cast<std::size_t>(i * every * o.phone.fps);
        const auto im = take.picture(f);
        const QImage q(im.rgb.data(), im.width, im.height, im.width * 3, QImage::Format_RGB888);
        const QRect at(i % columns * w, i / columns * h, w - 2, h - 2);
        p.drawImage(at, q, QRect(im.width / 2 - im.height * w / h / 2, 0, im.height * w / h, im.height));
        p.drawText(at.adjusted(4, 2, 0, 0), Qt::AlignLeft | Qt::AlignTop,
                   QString::fromStdString(take.truth().phase[f]) + QStringLiteral(" %1 s").arg(take.truth().time_s[f]));
    }
    p.end();
    return sheet.save(QString::fromLocal8Bit(argv[4])) ? 0 : 3;
}
