// The movements Bevel knows: found by name, kind and what they train; seen from any side at any pace; their phases, rules, drills; and what
// each fault looks like beside the right one.
#pragma once
#include "ui/forms/shown_form.h"
#include "ui/jobs/background.h"
#include "ui/pictures/figure_view.h"
#include "ui/shell/place.h"

class QComboBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QSlider;
class QStackedWidget;
class QTabWidget;
class QTextBrowser;
class QTableWidget;
class QToolButton;

namespace bevel::ui {

class CourseView;
class FloorPathView;
class FormEditor;
class LinkedEditor;

class FormsPage : public Place {
    Q_OBJECT
public:
    explicit FormsPage(Session& session, QWidget* parent = nullptr);
    QString title() const override { return tr("Forms"); }
    void open(Ref ref) override;
    void leave() override { figure_->play(false); }
    void add_actions(Actions& actions) override;
    void new_theme() override;
    FigureView& figure() { return *figure_; }
    /// Id of the movement that is shown; "form:ID" of a linked form.
    QString shown() const;
    void show_movement(const QString& id);
    /// What a finding looks like beside the right one: the check and the end of its band it is beyond.
    void show_finding(const std::string& movement, const std::string& check, bool high);
    /// To and from a file, as Export and Import do once it is chosen.
    void write_form(const QString& file);
    void read_form(const QString& file);
    void write_card(const QString& file);
    /// A movement from clips that show it; `clip` is chosen from the start.
    void learn_from(qint64 clip);
    void show_schools();
    /// A form of one's own, begun with the movement that is shown.
    void new_linked();
    void learn_form(qint64 clip);

private:
    void build();
    QWidget* build_list();
    QWidget* build_figure();
    void build_playing();
    void build_faults();
    void build_course();
    QLayout* choices_row();
    void connect_figure();
    QWidget* build_words();
    QWidget* build_phases();
    QWidget* build_rules();
    QWidget* build_editors();
    void fill_list();
    void fill_words();
    void fill_faults();
    void show_fault();
    QString about_html(const Movement& m) const;
    QString rules_html(const Movement& m) const;
    std::shared_ptr<const Movement> movement() const;
    std::shared_ptr<const Movement> way() const; // in the graded version that is chosen
    void show_way();
    void fill_ways();
    void go_to_phase(int phase);
    void edit(const QString& what, const std::string& id, const std::optional<std::string>& text);
    void apply(const std::string& id, const std::optional<std::string>& text);
    void edit_school(const QString& what, const std::string& id, const std::optional<std::string>& text);
    void apply_school(const std::string& id, const std::optional<std::string>& text);
    void fill_schools();
    void show_recorded();
    void copy_shown();
    void export_shown();
    void import_form();
    void print_card();
    void practise_shown();
    void tell(const QString& words, bool wrong);

    // Of a linked form, in forms_linked.cpp.
    std::shared_ptr<const LinkedForm> linked() const; // null where a movement is shown
    void turn_to(bool form);
    void show_linked();
    void fill_linked_words();
    void go_to_part(int part);
    void go_to_entry(int entry);
    void edit_linked(const QString& what, const std::string& id, const std::optional<std::string>& text);
    void apply_linked(const std::string& id, const std::optional<std::string>& text);
    std::string free_linked_id(const std::string& wish) const;
    void copy_linked();

    std::map<std::string, std::string> own_, own_schools_, own_linked_; // texts
    FormEditor* editor_ = nullptr;
    LinkedEditor* linked_editor_ = nullptr;
    FloorPathView* floor_ = nullptr;
    QStackedWidget *stage_ = nullptr, *change_ = nullptr; // under the figure; what is changed
    std::shared_ptr<const ShownForm> shown_form_;         // null while it is made
    int form_run_ = 0;
    Background form_work_; // its own: it does not wait behind the copying of a clip

    QLineEdit* search_ = nullptr;
    QComboBox *kind_ = nullptr, *trains_ = nullptr, *asks_ = nullptr, *fault_ = nullptr, *speed_ = nullptr, *school_ = nullptr,
              *way_ = nullptr, *lane_ = nullptr;
    QListWidget* list_ = nullptr;
    QLabel *title_ = nullptr, *count_ = nullptr;
    FigureView* figure_ = nullptr;
    CourseView* course_ = nullptr;
    QSlider *time_ = nullptr, *around_ = nullptr, *size_ = nullptr;
    QWidget *way_box_ = nullptr, *lane_box_ = nullptr; // each control with its name
    QToolButton* play_ = nullptr;
    QTabWidget* tabs_ = nullptr;
    QTextBrowser *about_ = nullptr, *rules_ = nullptr, *recorded_ = nullptr;
    QTableWidget* phases_ = nullptr;
};

} // namespace bevel::ui
