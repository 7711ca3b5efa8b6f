// What is known of the camera and the room, with what it does to how sure the figures are.
#pragma once
#include "store/library.h"
#include "ui/ground/ground_marks.h"
#include "ui/ground/sure_view.h"
#include <map>

class QComboBox;
class QDoubleSpinBox;
class QLabel;
class QScrollArea;
class QToolButton;
class QVBoxLayout;

namespace bevel::ui {

class RoomPanel : public QWidget {
    Q_OBJECT
public:
    explicit RoomPanel(const Session& session, QWidget* parent = nullptr);
    /// What is marked, of a clip whose room's own vertical may be seen.
    void show_marks(const GroundMarks& marks, const Track& track, const Person& person);
    /// Places where a camera stood before; `likely` is the one that looks like this clip's room.
    void show_places(const std::vector<CameraPlace>& places, std::int64_t likely);
    SureView& sure() { return *sure_; }

signals:
    void taken_back(bevel::ui::Marked what);
    void trimmed(bool from, bool to);
    void supported(bool from, bool to, bool seat);
    void height_given(double metres);
    void steady_asked();
    void place_kept();
    void place_taken(qint64 id);

protected:
    void resizeEvent(QResizeEvent*) override { fit(); }
    void showEvent(QShowEvent*) override { fit(); }

private:
    void fit();
    struct Row {
        QLabel* words = nullptr;
        QToolButton* back = nullptr;
    };
    Row row(QVBoxLayout* box, const QString& heading, Marked what, const char* back_name,
            const std::vector<std::tuple<const char*, QString, std::function<void()>>>& buttons, QWidget* more = nullptr);
    const Session& session_;
    std::map<Marked, Row> rows_;
    QDoubleSpinBox* camera_height_ = nullptr;
    QScrollArea* scroll_ = nullptr;
    QWidget* inner_ = nullptr;
    QComboBox* places_ = nullptr;
    QToolButton* take_place_ = nullptr;
    SureView* sure_ = nullptr;
};

} // namespace bevel::ui
