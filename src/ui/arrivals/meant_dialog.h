// Several people in the picture: which one is meant, by a click or a number key.
#pragma once
#include "media/pose/finder.h"
#include "ui/shell/session.h"
#include <QDialog>
#include <QImage>

class QLabel;
class QSlider;

namespace bevel::ui {

/// The picture with a box about each person; the others are only kept apart, never measured.
class PeopleView : public QWidget {
    Q_OBJECT
public:
    explicit PeopleView(const Session& session, QWidget* parent = nullptr);
    void show_people(const QImage& picture, const std::vector<Region>& people);
    const std::vector<Region>& people() const { return people_; }
    QPointF to_view(QPointF px) const;

signals:
    void chosen(int person);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;

private:
    QRectF shown() const;
    const Session& session_;
    QImage picture_;
    std::vector<Region> people_;
};

class MeantDialog : public QDialog {
    Q_OBJECT
public:
    MeantDialog(Session& session, const Clip& clip, QWidget* parent = nullptr);
    PeopleView& view() { return *view_; }

signals:
    void looked(); // the people on the shown frame are known
    void meant(const bevel::MeantPerson& who);

protected:
    void keyPressEvent(QKeyEvent* e) override;

private:
    struct Look;
    void show_at(double time_s);
    void choose(int person);
    Session& session_;
    Clip clip_;
    std::shared_ptr<Look> look_;
    double time_s_ = 0;
    int run_ = 0;
    PeopleView* view_ = nullptr;
    QLabel* words_ = nullptr;
    QSlider* slider_ = nullptr;
};

} // namespace bevel::ui
