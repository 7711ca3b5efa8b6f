// Cutting one clip into parts, each of which becomes a clip of its own.
#pragma once
#include "ui/arrivals/parts_strip.h"
#include "ui/paint/clip_film.h"
#include <QDialog>
#include <QUndoStack>

class QComboBox;
class QLabel;
class QPushButton;

namespace bevel::ui {

class PartsDialog : public QDialog {
    Q_OBJECT
public:
    PartsDialog(Session& session, const ClipRow& row, QWidget* parent = nullptr);
    PartsStrip& strip() { return *strip_; }
    QUndoStack& steps() { return undo_; }
    /// All thumbnails are there, and the picture is of where the mark stands.
    bool complete() const;

signals:
    void ready(); // the clip is open and parts are suggested
    void cut(const std::vector<bevel::ui::StripPart>& parts);

public:
    /// People by name, one a line, for the parts in their order; said where nobody is called so.
    void name_in_turn(const QString& lines);

private:
    void load();
    void change(const QString& what, std::vector<StripPart> parts, int chosen);
    void split();
    void merge();
    void remove();
    void edge_here(bool end);
    void show_frame(double time_s);
    void by_person();
    void ask_names();
    void settle();

    Session& session_;
    ClipRow row_;
    std::shared_ptr<ClipFilm> film_;
    std::vector<StripPart> suggested_, turns_; // by movement; by person
    std::vector<Person> people_;
    QUndoStack undo_;
    PartsStrip* strip_ = nullptr;
    QLabel *picture_ = nullptr, *words_ = nullptr;
    QComboBox *movement_ = nullptr, *person_ = nullptr;
    QPushButton* cut_ = nullptr;
    QList<QPushButton*> tools_;
    int picture_run_ = 0, shown_run_ = 0;
};

} // namespace bevel::ui
