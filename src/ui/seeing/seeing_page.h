// Learning to see: an assistant looks at a clip with its figures hidden, says what there is, and is told.
#pragma once
#include "store/seeing.h"
#include "ui/jobs/background.h"
#include "ui/seeing/saying_panel.h"
#include "ui/seeing/seeing_view.h"
#include "ui/seeing/seen_record.h"
#include "ui/shell/notice.h"
#include "ui/shell/place.h"

class QComboBox;
class QLabel;
class QPushButton;
class QTabWidget;

namespace bevel::ui {

class SeeingPage : public Place {
    Q_OBJECT
public:
    explicit SeeingPage(Session& session, QWidget* parent = nullptr);
    QString title() const override { return tr("Seeing"); }
    void open(Ref ref) override;
    void leave() override { view_->play(false); }
    void add_actions(Actions& actions) override;
    void new_theme() override { view_->update(); }
    SeeingView* view() { return view_; }
    SayingPanel* saying() { return saying_; }
    const std::vector<SeenRound>& rounds() const { return rounds_; }
    const SeeNext& next() const { return next_; }
    std::int64_t assistant() const { return assistant_; }
    bool making() const { return making_; }
    void add_assistant(const QString& name);
    void remove_assistant();
    /// Another clip, as it is chosen on the left; of a virtual student's the one of that seed (0: any).
    void next_clip(std::uint64_t seed = 0);
    /// What should be looked at most.
    void practise_next();

signals:
    void filled(); // assistants, their record and the clips of the library are read
    void clip_shown();

private:
    QWidget* build_side();
    QWidget* build_player();
    void build_choices();
    void load();
    void load_rounds();
    void fill_assistants(const std::vector<Assistant>& all);
    void fill_clips(const std::vector<Clip>& clips);
    void show_clip(std::shared_ptr<const ClipSeen> clip);
    void make(const ExerciseWish& wish, const QString& movement);
    void stop_making();
    void open_kept();
    void keep_round(const SeenCount& count, const std::vector<Said>& said);
    void settle();
    void ask_name();
    void refused(const Error& e);

    Background maker_; // makes virtual students' clips
    std::vector<Assistant> assistants_;
    std::vector<Clip> clips_;
    std::vector<SeenRound> rounds_;
    SeeNext next_;
    std::shared_ptr<const ClipSeen> clip_;
    std::int64_t assistant_ = 0;
    int run_ = 0, loading_ = 0, reading_ = 0;
    std::stop_source made_;                // of the clip that is being made
    bool making_ = false, filling_ = true; // while it is built, too
    QComboBox *who_ = nullptr, *from_ = nullptr, *level_ = nullptr, *movement_ = nullptr, *speed_ = nullptr;
    QLabel *level_about_ = nullptr, *next_words_ = nullptr, *subject_ = nullptr;
    QPushButton *new_ = nullptr, *practise_ = nullptr, *play_ = nullptr, *remove_ = nullptr;
    QTabWidget* tabs_ = nullptr;
    SeeingView* view_ = nullptr;
    SayingPanel* saying_ = nullptr;
    SeenRecord* record_ = nullptr;
    Notice* notice_ = nullptr;
};

} // namespace bevel::ui
