// What is said of a clip: chosen from what its movement can show, from the ground up, with the side and the moment; first things first.
// Once it is told, what is there beside it.
#pragma once
#include "ui/seeing/clip_seen.h"
#include "ui/shell/session.h"
#include <QWidget>

class QComboBox;
class QLabel;
class QListWidget;
class QPushButton;
class QStackedWidget;
class QTableWidget;
class QTreeWidget;
class QTreeWidgetItem;
class QUndoStack;

namespace bevel::ui {

class SayingPanel : public QWidget {
    Q_OBJECT
public:
    SayingPanel(Session& session, QUndoStack& undo, QWidget* parent = nullptr);
    void show_clip(std::shared_ptr<const ClipSeen> clip);
    void set_time(double t) { time_ = t; }
    const std::vector<Said>& said() const { return said_; }
    bool told() const { return told_; }
    const SeenCount& count() const { return count_; }
    /// Chooses a thing that can be said; false where it is not offered.
    bool choose(const std::string& check, Direction direction, SaidSide side = SaidSide::none);
    void say();
    void move_said(int by);
    void take_out();
    void tell();
    /// The list of a family, 0 feet to 7 tempo.
    void go_to(int family);

signals:
    void changed(const std::vector<bevel::Said>& said);
    void moment_wanted(double t);
    void there_wanted(const std::optional<bevel::Visible>& what);
    void was_told(const bevel::SeenCount& count, const std::vector<bevel::Said>& said);

private:
    QWidget* build_saying();
    QWidget* build_truth();
    void fill_offered();
    void fill_said(int choose);
    void fill_truth();
    void settle();
    void set_said(std::vector<Said> now, int choose);
    const Sayable* chosen() const;
    Session& session_;
    QUndoStack& undo_;
    std::shared_ptr<const ClipSeen> clip_;
    std::vector<Said> said_;
    SeenCount count_;
    double time_ = 0;
    bool told_ = false;
    QStackedWidget* either_ = nullptr;
    QTreeWidget* offered_ = nullptr;
    QComboBox* side_ = nullptr;
    QListWidget* list_ = nullptr;
    QPushButton *say_ = nullptr, *up_ = nullptr, *down_ = nullptr, *out_ = nullptr, *tell_ = nullptr;
    QLabel *sum_ = nullptr, *how_ = nullptr;
    QTableWidget* truth_ = nullptr;
    std::vector<std::optional<Visible>> rows_; // of the table of what is there
    std::vector<double> moments_;
};

} // namespace bevel::ui
