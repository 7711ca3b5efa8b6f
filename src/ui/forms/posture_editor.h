// A key posture in numbers: where feet and hands are, how the trunk stands. What is set runs on into the phases after it that say nothing
// else, as it does in the movement's file.
#pragma once
#include "ui/shell/session.h"
#include <nlohmann/json_fwd.hpp>
#include <QWidget>

class QComboBox;
class QDoubleSpinBox;
class QGridLayout;
class QStackedWidget;

namespace bevel::ui {

class PostureEditor : public QWidget {
    Q_OBJECT
public:
    explicit PostureEditor(const Session& session, QWidget* parent = nullptr);
    void show_posture(const Posture& posture);

signals:
    /// `part`: "left_hand" and so on, empty for the trunk; `key` and value as in a movement's file.
    void set(const QString& what, const std::string& part, const std::string& key, const nlohmann::json& value);

private:
    struct Number {
        std::string part, key;
        QDoubleSpinBox* box;
        std::function<double(const Posture&)> of;
    };
    struct Choice {
        std::string part, key;
        QComboBox* box;
        std::function<int(const Posture&)> of;
    };
    void number(QGridLayout* form, const std::string& part, const std::string& key, const QString& label, const QString& suffix, double low,
                double high, double step, std::function<double(const Posture&)> of);
    void choice(QGridLayout* form, const std::string& part, const std::string& key, const QString& label,
                const std::vector<std::pair<QString, std::string>>& all, std::function<int(const Posture&)> of);
    const Session& session_;
    QComboBox* part_ = nullptr;
    QStackedWidget* pages_ = nullptr;
    std::vector<Number> numbers_;
    std::vector<Choice> choices_;
    bool filling_ = false;
};

} // namespace bevel::ui
