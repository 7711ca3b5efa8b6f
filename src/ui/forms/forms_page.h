// The movements Bevel knows: found by name, kind and what they train; seen from any side at any pace; their phases, rules, drills; and what
// each fault looks like beside the right one.
#pragma once
#include "ui/pictures/figure_view.h"
#include "ui/shell/place.h"

class QComboBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QSlider;
class QTabWidget;
class QTextBrowser;
class QTableWidget;
class QToolButton;

namespace bevel::ui {

class CourseView;
class FormEditor;

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
    /// Id of the movement that is shown.
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

private:
    void build();
    QWidget* build_list();
    QWidget* build_figure();
    QWidget* build_words();
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

    std::map<std::string, std::string> own_, own_schools_; // texts
    FormEditor* editor_ = nullptr;

    QLineEdit* search_ = nullptr;
    QComboBox *kind_ = nullptr, *trains_ = nullptr, *asks_ = nullptr, *fault_ = nullptr, *speed_ = nullptr, *school_ = nullptr,
              *way_ = nullptr, *lane_ = nullptr;
    QListWidget* list_ = nullptr;
    QLabel *title_ = nullptr, *count_ = nullptr;
    FigureView* figure_ = nullptr;
    CourseView* course_ = nullptr;
    QSlider *time_ = nullptr, *around_ = nullptr, *size_ = nullptr;
    QToolButton* play_ = nullptr;
    QTabWidget* tabs_ = nullptr;
    QTextBrowser *about_ = nullptr, *rules_ = nullptr, *recorded_ = nullptr;
    QTableWidget* phases_ = nullptr;
};

} // namespace bevel::ui
