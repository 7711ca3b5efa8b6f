// The main screen: pictures, ground-up column, tide and lanes, figures at this frame, findings.
#pragma once
#include "ui/review/room_view.h"
#include "ui/review/views.h"
#include "ui/shell/notice.h"
#include "ui/shell/place.h"
#include <QElapsedTimer>
#include <QTimer>

class QComboBox;
class QLabel;
class QSplitter;
class QStackedLayout;
class QToolButton;
class QVBoxLayout;

namespace bevel::ui {

class EmptyState;
class FiguresTable;
class FindingsColumn;
class FormStrip;

class ReviewPage : public Place {
    Q_OBJECT
public:
    explicit ReviewPage(Session& session, QWidget* parent = nullptr);
    QString title() const override { return tr("Review"); }
    void open(Ref ref) override;
    void leave() override { play(false); }
    void open_clip(qint64 clip);
    ReviewState& state() { return state_; }
    /// Whether both pictures are those of the cursor's frame of the open review.
    /// What was decided by keys, with the moment that was on the screen then, s.
    const std::vector<std::pair<FindingKey, double>>& seen_at() const { return seen_at_; }
    bool shows_current() const;
    void add_actions(Actions& actions) override;
    void new_theme() override;
    /// Gives a clip whose file was lost its file back.
    void give_file(const QString& file);
    /// The instructor's clip of the movement in place of the drawn figure, or the figure again.
    void want_model(bool on);
    void read_breaths(const QString& file);
    /// Something the instructor sees at the cursor.
    void see(const Remark& s);
    /// The clip shows what it is named, whatever it looks like; or another movement.
    void be_as_named();
    void be_another(const std::string& movement);
    /// The student's picture of now with its lines as a PNG file.
    void save_still(const QString& file, bool hide);
    /// The other clip of a pair comes first.
    void change_over();

signals:
    void decided(); // a decision was written
    void show_me(const std::string& movement, const std::string& check, bool high);
    void opened();

protected:
    bool event(QEvent* e) override;
    void resizeEvent(QResizeEvent* e) override;
    bool eventFilter(QObject* o, QEvent* e) override;

private:
    void add_looking(Actions& actions);
    void add_moving(Actions& actions);
    void add_deciding(Actions& actions);
    void add_saying(Actions& actions);
    void add_breath(Actions& actions);
    void show_before(); // the earlier clip that was asked for, at the same moment
    qint64 before_wanted_ = 0;
    void decide_shown(std::optional<Choice> choice); // none: to be said in other words
    void settle_decision();
    std::optional<Choice> to_decide_;
    bool deciding_ = false; // as soon as its moment is on the screen
    QWidget* transport_ = nullptr;
    static constexpr int step_margin = 26; // of a button about its words, with the gap to the next
    std::vector<std::pair<FindingKey, double>> seen_at_;
    qint64 wanted_ = 0;  // the clip that was asked for last
    qint64 putting_ = 0; // the clip that is being put together with its pair
    void build();
    QWidget* build_bar();
    QWidget* build_transport();
    void show_review(std::shared_ptr<const OpenReview> open);
    void frame_changed();
    void decide(const Finding& f, Choice choice, const QString& wording);
    void apply(const Decision& d);
    void agree(const QString& check);
    void let_compete();
    void put_at_once();
    void show_third();
    void reload(const QString& then_say = {});
    void show_again(std::shared_ptr<const OpenReview> open);
    void show_judged(std::shared_ptr<const OpenReview> open);
    void tap_breath();
    void keep_breaths();
    void show_holds();
    void set_breaths(const QString& what, const std::vector<BreathMark>& after);
    void problem(const Error& e);
    void point_to_file();
    /// `hidden`: of somebody who is not to be known to whoever looks on.
    void set_beside(std::shared_ptr<const OpenReview> beside, bool hidden = false);
    void show_model();
    void be_model();
    void add_seen();
    void mark_right();
    void take_range();
    void keep_neutral(const QString& what, std::int64_t person, const PersonNeutral& before, const PersonNeutral& after,
                      const QString& said_then);
    void renew_neutral();
    void keep_seen(const QString& what, const Remark& s, bool there);
    std::optional<std::pair<double, double>> part_at_cursor() const;
    void loop_part(bool on);
    double looped(double clock);
    void ask_still();
    void step_phase(int by);
    void step_repetition(int by);
    void play(bool on);

    ReviewState state_;
    std::unique_ptr<FrameSource> source_;
    std::vector<BreathMark> tapped_; // while it plays
    QTimer timer_, again_;
    QElapsedTimer since_;
    double clock_ = 0;
    EmptyState* empty_ = nullptr;
    QStackedLayout* either_ = nullptr; // nothing to show, or a review
    QLabel *title_ = nullptr, *where_ = nullptr;
    Notice* notice_ = nullptr;
    PictureView *student_ = nullptr, *partner_ = nullptr, *reference_ = nullptr;
    RoomView* room_ = nullptr;  // in place of the reference, where the room is known
    bool model_wanted_ = false; // the instructor's clip in place of the figure, where there is one
    std::optional<double> change_over_to_;
    ColumnView* column_ = nullptr;
    TimeView* time_ = nullptr;
    FloorView* floor_ = nullptr;
    FormStrip* parts_ = nullptr;
    FiguresTable* figures_ = nullptr;
    FindingsColumn* findings_ = nullptr;
    QComboBox* speed_ = nullptr;
    QToolButton *play_ = nullptr, *mirror_ = nullptr, *axis_ = nullptr, *one_ = nullptr, *over_ = nullptr, *loop_ = nullptr,
                *in_room_ = nullptr;
    std::optional<std::pair<double, double>> looped_; // s of the clip, while a part is played over and over
    QWidget* side_ = nullptr;
    QSplitter* split_ = nullptr;
    struct StepButton {
        QToolButton* button;
        QString label, narrow;
    };
    std::vector<StepButton> steps_;
};

} // namespace bevel::ui
