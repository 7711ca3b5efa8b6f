// Schools: what each does in its own way, as sentences with their reasons; own ones copied, changed, taken back, carried in a file.
#pragma once
#include "ui/shell/session.h"
#include <nlohmann/json_fwd.hpp>
#include <QDialog>

class QComboBox;
class QDoubleSpinBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;
class QTableWidget;

namespace bevel::ui {

class SchoolsDialog : public QDialog {
    Q_OBJECT
public:
    SchoolsDialog(const Session& session, const std::string& shown, QWidget* parent = nullptr);
    /// The schools are others now.
    void fill();
    /// To and from a file, as Export and Import do once it is chosen.
    void write_school(const QString& file);
    void read_school(const QString& file);

signals:
    /// The school's text as it is to be; none: as it came with the program, or gone.
    void edited(const QString& what, const std::string& id, const std::optional<std::string>& text);

private:
    void build();
    void show_school();
    void show_change();
    void set_change();
    void take_change_out();
    void copy();
    void change(const QString& what, const std::function<void(nlohmann::json&)>& how);
    QString sentence(const BandChange& c) const;
    std::shared_ptr<const School> school() const;
    void say(const QString& words, bool problem = true);
    const Session& session_;
    std::string shown_;
    QListWidget* list_ = nullptr;
    QLineEdit *name_ = nullptr, *reason_ = nullptr;
    QTableWidget* changes_ = nullptr;
    QComboBox *rule_ = nullptr, *stance_ = nullptr, *role_ = nullptr;
    QDoubleSpinBox *low_ = nullptr, *high_ = nullptr;
    QLabel *about_ = nullptr, *words_ = nullptr;
    QPushButton *set_ = nullptr, *add_ = nullptr, *out_ = nullptr, *reset_ = nullptr, *copy_ = nullptr;
    bool filling_ = false;
};

} // namespace bevel::ui
