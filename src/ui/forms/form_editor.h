// A movement as its instructor wants it: its words, the time and breath of its phases, its bands with their reason; copied, taken back to
// the shipped one, written to and read from a file. What cannot be is said at the field; nothing half is kept.
#pragma once
#include "ui/shell/left_edit.h"
#include "ui/shell/session.h"
#include <nlohmann/json_fwd.hpp>
#include <QWidget>

class QComboBox;
class QDoubleSpinBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QPushButton;

namespace bevel::ui {

class PostureEditor;

class FormEditor : public QWidget {
    Q_OBJECT
public:
    explicit FormEditor(const Session& session, QWidget* parent = nullptr);
    /// `has_shipped`: there is one of this id that came with the program.
    void show_movement(const Movement& movement, bool has_shipped);
    void problem(const QString& words);
    void say(const QString& words); // what went well
    /// The phase that is changed; as many as there are: the posture the movement begins and ends in.
    int phase() const;

signals:
    /// The movement's text as it is to be; `what` in words for the undo list.
    void edited(const QString& what, const std::string& text);
    void copy_asked();
    void reset_asked();
    void export_asked();
    void import_asked();
    void phase_chosen(int phase);

private:
    void build();
    void build_buttons(QFormLayout* form);
    void build_words(QFormLayout* form);
    void build_phase(QFormLayout* form);
    void build_roles(QFormLayout* form);
    void build_posture(QFormLayout* form);
    void build_bands(QFormLayout* form);
    void show_phase();
    void show_check();
    void set_band(bool back);
    void change(const QString& what, const std::function<void(nlohmann::json&)>& how);
    const Check* check() const;
    const Session& session_;
    std::string text_;
    std::optional<Movement> movement_;
    QLabel *whose_ = nullptr, *problem_ = nullptr, *was_ = nullptr;
    QPushButton *reset_ = nullptr, *set_ = nullptr, *back_ = nullptr;
    QLineEdit *name_ = nullptr, *reason_ = nullptr;
    LeftEdit *about_ = nullptr, *attention_ = nullptr;
    QComboBox *phase_ = nullptr, *breath_ = nullptr, *role_ = nullptr, *stance_ = nullptr, *check_ = nullptr;
    PostureEditor* posture_ = nullptr;
    QDoubleSpinBox *seconds_ = nullptr, *low_ = nullptr, *high_ = nullptr;
};

} // namespace bevel::ui
