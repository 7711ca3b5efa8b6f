// Points of the body that are not to be trusted, and what mends them.
#pragma once
#include "core/ground/doubt.h"
#include "ui/shell/session.h"
#include <QWidget>

class QComboBox;
class QLabel;
class QListWidget;
class QToolButton;

namespace bevel::ui {

class PointsPanel : public QWidget {
    Q_OBJECT
public:
    explicit PointsPanel(const Session& session, QWidget* parent = nullptr);
    void show_doubts(const std::vector<Doubt>& doubts, const Track& track);
    void show_mended(const Layers& layers, bool swap_begun);
    /// Words for a doubt: what, where, how long.
    static QString words(const Doubt& d, const Track& track);

signals:
    void go_to(int frame, int point); // point -1: none
    void mend(int doubt);             // as the doubt offers
    void from_before();
    void swap();
    void fill();
    void set_body();
    void follow_body();
    void take_back();
    void next();
    void extra_chosen(int extra); // -1: none

private:
    const Session& session_;
    QListWidget* list_ = nullptr;
    QLabel* mended_ = nullptr;
    QToolButton *swap_ = nullptr, *back_ = nullptr, *mend_ = nullptr;
    QComboBox* extra_ = nullptr;
    std::vector<Doubt> doubts_;
};

} // namespace bevel::ui
