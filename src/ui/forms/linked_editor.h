// A linked form as its instructor wants it: its words, its parts in order, and of each what is done, on which side, how often, how it is
// turned and at which pace. Every change is the form's text as it is to be; what cannot be linked is said, and nothing half is kept.
#pragma once
#include "core/form/form.h"
#include "ui/shell/left_edit.h"
#include "ui/shell/session.h"
#include <QWidget>

class QComboBox;
class QDoubleSpinBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;
class QSpinBox;

namespace bevel::ui {

class LinkedEditor : public QWidget {
    Q_OBJECT
public:
    explicit LinkedEditor(const Session& session, QWidget* parent = nullptr);
    /// `has_shipped`: there is one of this id that came with the program.
    void show_form(const LinkedForm& form, bool has_shipped);
    void problem(const QString& words);
    void say(const QString& words); // what went well
    int entry() const;              // that is chosen
    void choose(int entry);
    /// The chosen part so much later.
    void move_part(int by);

signals:
    /// The form as it is to be; `what` in words for the undo list.
    void edited(const QString& what, const std::string& text);
    void copy_asked();
    void reset_asked();
    void export_asked();
    void import_asked();
    void entry_chosen(int entry);

private:
    void build();
    void build_buttons(QFormLayout* form);
    void build_words(QFormLayout* form);
    void build_list(QFormLayout* form);
    void build_part(QFormLayout* form);
    void build_numbers();
    void show_part();
    void fill_phases(const Movement& m, const FormPart& part);
    void change(const QString& what, const std::function<void(LinkedForm&)>& how, int then = -1);
    void change_part(const QString& what, const std::function<void(FormPart&)>& how);
    QString line_of(const FormPart& part, int first) const;
    const Session& session_;
    std::optional<LinkedForm> form_;
    int wanted_ = -1; // the entry to be chosen once the change is there
    QLabel *whose_ = nullptr, *problem_ = nullptr;
    QPushButton *reset_ = nullptr, *up_ = nullptr, *down_ = nullptr, *remove_ = nullptr, *twice_ = nullptr;
    QLineEdit *name_ = nullptr, *called_ = nullptr, *group_ = nullptr;
    LeftEdit* about_ = nullptr;
    QListWidget* parts_ = nullptr;
    QComboBox *add_ = nullptr, *movement_ = nullptr, *version_ = nullptr, *side_ = nullptr, *from_ = nullptr, *until_ = nullptr;
    QSpinBox *times_ = nullptr, *turn_ = nullptr;
    QDoubleSpinBox* pace_ = nullptr;
};

} // namespace bevel::ui
