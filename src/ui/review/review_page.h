// The main screen: pictures, ground-up column, tide and lanes, figures at this frame, findings.
#pragma once
#include "ui/review/views.h"
#include <QTimer>
#include <QUndoStack>

class QComboBox;
class QLabel;
class QScrollArea;
class QTableWidget;
class QToolButton;
class QVBoxLayout;

namespace bevel::ui {

class ReviewPage : public QWidget {
    Q_OBJECT
public:
    ReviewPage(Session& session, QWidget* parent = nullptr);
    void open_clip(qint64 clip);
    ReviewState& state() { return state_; }
    /// Whether both pictures are those of the cursor's frame of the open review.
    bool shows_current() const;

signals:
    void write_letter();
    void decided(); // a decision was written
    void opened();

protected:
    void keyPressEvent(QKeyEvent* e) override;
    void resizeEvent(QResizeEvent* e) override;

private:
    void build();
    QWidget* build_bar();
    QWidget* build_transport();
    void show_review(std::shared_ptr<const OpenReview> open);
    void frame_changed();
    void fill_findings();
    QWidget* finding_card(const Finding& f);
    void show_why(const Finding& f);
    void fill_figures();
    void fill_tempo();
    void decide(const Finding& f, Choice choice, const QString& wording);
    Decision decision_of(const Finding& f) const;
    void apply(const Decision& d);
    void step_phase(int by);
    void step_repetition(int by);
    void play(bool on);

    Session& session_;
    ReviewState state_;
    std::unique_ptr<FrameSource> source_;
    QTimer timer_;
    double clock_ = 0;
    QUndoStack undo_;
    QLabel *title_ = nullptr, *where_ = nullptr;
    PictureView *student_ = nullptr, *reference_ = nullptr;
    ColumnView* column_ = nullptr;
    TimeView* time_ = nullptr;
    FloorView* floor_ = nullptr;
    QTableWidget* figures_ = nullptr;
    QScrollArea* findings_ = nullptr;
    QComboBox *speed_ = nullptr, *scope_ = nullptr;
    QToolButton *play_ = nullptr, *mirror_ = nullptr, *axis_ = nullptr, *one_ = nullptr;
    QWidget* side_ = nullptr;
    struct StepButton {
        QToolButton* button;
        QString label, narrow;
    };
    std::vector<StepButton> steps_;
    std::vector<Decision> decisions_;
};

} // namespace bevel::ui
