// The run on a screen: figure, breath, counts, and the keys of a presenter's remote or a foot switch.
#pragma once
#include "ui/pacing/pacer_run.h"
#include "ui/paint/practice_picture.h"
#include "ui/pictures/figure_source.h"
#include "ui/shell/session.h"
#include <QWidget>

class QCheckBox;
class QLabel;
class QPushButton;

namespace bevel::ui {

class PacerWindow : public QWidget {
    Q_OBJECT
public:
    PacerWindow(Session& session, const Plan& plan, const PacerOptions& options, bool spoken, QWidget* parent = nullptr);
    PacerRun& run() { return *run_; }
    /// A class is led: its sides are called as its own, and whoever leads face to face is shown theirs where that is ticked.
    void lead_class();
    /// Over the whole of the second screen where there is one, else of this.
    void show_large();
    const PracticePicture& picture() const { return picture_; }

signals:
    /// The run is over, or was stopped: what was done.
    void over(const bevel::PracticeLog& log);

protected:
    void paintEvent(QPaintEvent*) override;
    void keyPressEvent(QKeyEvent* e) override;
    void mousePressEvent(QMouseEvent* e) override;
    void closeEvent(QCloseEvent* e) override;
    void showEvent(QShowEvent* e) override;

private:
    bool fitted_ = false;
    void build();
    void show_now();
    void ask_figure();
    bool both() const;
    void put_figures();
    void look_behind_time();
    void speak();
    void end();
    QRect picture_rect() const;

    Session& session_;
    std::unique_ptr<PacerRun> run_;
    bool spoken_;
    FigureSource source_, source_behind_; // the second one where both sides are shown
    std::map<std::string, std::shared_ptr<const sim::Student>> figures_;
    std::string shown_movement_;
    int scene_ = 0;
    QImage figure_, figure_behind_;
    PracticePicture picture_;
    Theme theme_;
    QWidget* bar_ = nullptr;
    QPushButton *pause_ = nullptr, *late_ = nullptr;
    QCheckBox *mirror_ = nullptr, *behind_ = nullptr, *hide_ = nullptr, *facing_ = nullptr;
    QLabel* clock_words_ = nullptr;
    std::vector<std::size_t> droppable_;
    bool told_ = false;
};

} // namespace bevel::ui
