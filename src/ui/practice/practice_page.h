// Planning a session, running it, and the log of what was done.
#pragma once
#include "ui/pacing/pacer_window.h"
#include "ui/practice/log_view.h"
#include "ui/practice/needs_form.h"
#include "ui/practice/plan_view.h"
#include "ui/shell/notice.h"
#include "ui/shell/place.h"
#include "ui/weeks/weeks_view.h"

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QLineEdit;
class QPushButton;
class QSpinBox;
class QTabWidget;

namespace bevel::ui {

class FigureView;

class PracticePage : public Place {
    Q_OBJECT
public:
    explicit PracticePage(Session& session, QWidget* parent = nullptr);
    QString title() const override { return tr("Practice"); }
    void open(Ref ref) override;
    void add_actions(Actions& actions) override;
    void new_theme() override;
    void propose_now();
    const Plan& plan() const { return view_->plan(); }
    PlanView* view() { return view_; }
    NeedsForm* form() { return form_; }
    LogView* log() { return log_; }
    WeeksView* course() { return course_; }
    /// The run in its window; null while none is.
    PacerWindow* run_now();
    PacerWindow* pacer() { return pacer_; }
    PacerOptions pacer_options() const;
    /// Sheet (PDF, HTML), sound (FLAC, Ogg, WAV), film (MP4), calendar (ICS), by the ending.
    void export_to(const QString& file);
    void keep_plan(const QString& name);

signals:
    void planned();
    void exported(const QString& file);

private:
    /// Whether the plan may be done as it stands; else it is said, with `then` as the way on once what is barred is out of it.
    bool passes(std::function<void()> then);
    QWidget* build_plan();
    QWidget* build_needs();
    QWidget* build_session();
    void build_breath();
    void build_times();
    void build_exports();
    QPushButton* build_own_plans();
    void connect_plan();
    void load_people(qint64 choose);
    void load_group();
    void load_known();
    void show_plan(const Plan& plan);
    void apply(const Plan& plan);
    void choose_template();
    void ask_export(const QString& what, const QString& name, const QString& kinds);
    void over(const PracticeLog& log);
    void plan_day(const Needs& day, const QString& of_what);

    Plan plan_;
    bool filled_once_ = false;
    int run_ = 0;
    NeedsForm* form_ = nullptr;
    PlanView* view_ = nullptr;
    LogView* log_ = nullptr;
    WeeksView* course_ = nullptr;
    FigureView* figure_ = nullptr;
    QTabWidget* tabs_ = nullptr;
    QLineEdit* title_ = nullptr;
    QComboBox* out_by_ = nullptr;
    QDoubleSpinBox *in_to_ = nullptr, *out_to_ = nullptr, *slower_ = nullptr;
    QSpinBox* delay_ = nullptr;
    QCheckBox *spoken_ = nullptr, *wait_ = nullptr, *lengthen_ = nullptr;
    QPushButton *propose_ = nullptr, *go_ = nullptr, *export_ = nullptr;
    QPointer<PacerWindow> pacer_;
    Notice* notice_ = nullptr;
};

} // namespace bevel::ui
