// A movement from clips that show it: which clips, one repetition laid out on one of them, its phases and roles; then what was told from
// all.
#pragma once
#include "core/learn/learn.h"
#include "ui/forms/layout_strip.h"
#include "ui/paint/clip_film.h"
#include <QDialog>
#include <QUndoStack>

class QComboBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QPlainTextEdit;
class QPushButton;
class QTableWidget;

namespace bevel::ui {

/// A clip that may show the movement, put on the ground.
struct ShownClip {
    ClipRow row;
    Track track; // as drawn
    std::shared_ptr<const Evidence> evidence;
};

class LearnDialog : public QDialog {
    Q_OBJECT
public:
    /// `clip`: chosen from the start; 0: none.
    LearnDialog(Session& session, qint64 clip, QWidget* parent = nullptr);
    ~LearnDialog() override { undo_.disconnect(this); } // which tells of its own end after everything else is gone
    LayoutStrip& strip() { return *strip_; }
    QUndoStack& steps() { return undo_; }
    const Layout& layout_of() const { return layout_; }
    /// The clip that is laid out on; 0: none yet.
    qint64 laid_out() const { return shown_; }
    bool busy() const { return busy_; }
    /// The picture is of where the mark stands.
    bool complete() const { return shown_ != 0 && picture_run_ == painted_run_; }

signals:
    void learned(const QString& name, const std::string& id, const std::string& text, qint64 model);
    void laid(); // a layout was proposed, or learning ended

private:
    void build();
    QWidget* build_clips();
    QWidget* build_middle();
    QWidget* build_side();
    void load_list();
    void show_list(const std::vector<ClipRow>& rows);
    void show_clip(qint64 id);
    void propose(bool keep_stretch);
    void change(const QString& what, const Layout& after);
    void set_layout_now(const Layout& layout);
    void fill_phases();
    void phase_edited(int row);
    void border_here();
    void take_border_out();
    void edge_here(bool end);
    void show_frame(double t);
    void learn_now();
    void say(const QString& words, bool problem = false);
    void settle();
    std::vector<qint64> checked() const;
    std::shared_ptr<const Movement> like() const;

    Session& session_;
    qint64 first_ = 0, shown_ = 0;
    std::map<qint64, ClipRow> rows_;
    std::map<qint64, std::shared_ptr<const ShownClip>> clips_;
    std::shared_ptr<ClipFilm> film_;
    Layout layout_;
    std::optional<Learned> result_;
    QUndoStack undo_;
    bool filling_ = false, busy_ = false;
    int picture_run_ = 0, painted_run_ = -1;
    LayoutStrip* strip_ = nullptr;
    QListWidget* list_ = nullptr;
    QLabel *picture_ = nullptr, *words_ = nullptr;
    QTableWidget* phases_ = nullptr;
    QLineEdit *search_ = nullptr, *name_ = nullptr;
    QPlainTextEdit* attention_ = nullptr;
    QComboBox *kind_ = nullptr, *like_ = nullptr, *lead_ = nullptr;
    QPushButton *learn_ = nullptr, *keep_ = nullptr;
    QList<QPushButton*> tools_;
};

} // namespace bevel::ui
