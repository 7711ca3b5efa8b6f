// Pictures of the figure that does a movement, from any side, right or with a fault, made on a thread of their own; only the newest wish is
// served.
#pragma once
#include "ui/jobs/mailbox.h"
#include "ui/jobs/wishes.h"
#include "ui/paint/body.h"
#include <QImage>
#include <QObject>

namespace bevel::ui {

/// What is to be drawn: who does what, and from where it is seen.
struct FigureWish {
    std::shared_ptr<const sim::Student> right, faulty; // faulty null: the right one alone
    double time_s = 0, azimuth_deg = 0;                // to the student's own left, where the camera stands
    int width = 400, height = 480;                     // of one figure
    bool follow = false;                               // the camera goes where the body goes, keeping its side of the room
    int scene = 0;                                     // goes up when the students are others
};
struct FigureShot {
    FigureWish wish;
    QImage right, faulty;
};

class FigureSource : public QObject {
    Q_OBJECT
public:
    explicit FigureSource(QObject* parent = nullptr);
    ~FigureSource() override;
    void wish(const FigureWish& w);

signals:
    void ready(std::shared_ptr<bevel::ui::FigureShot> shot);

private:
    void draw(const std::stop_token& stop);
    Mailbox mail_;
    Wishes<FigureWish> wishes_;
};

} // namespace bevel::ui
