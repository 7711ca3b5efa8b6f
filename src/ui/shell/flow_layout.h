// Widgets in a row as long as there is room, then in a further row: for buttons whose words are longer in another language or larger type.
#pragma once
#include <QLayout>
#include <vector>

namespace bevel::ui {

class FlowLayout : public QLayout {
public:
    explicit FlowLayout(QWidget* parent = nullptr);
    ~FlowLayout() override;
    void addItem(QLayoutItem* item) override;
    int count() const override { return static_cast<int>(items_.size()); }
    QLayoutItem* itemAt(int index) const override;
    QLayoutItem* takeAt(int index) override;
    Qt::Orientations expandingDirections() const override { return {}; }
    bool hasHeightForWidth() const override { return true; }
    int heightForWidth(int width) const override { return arrange({0, 0, width, 0}, false); }
    void setGeometry(const QRect& r) override;
    QSize sizeHint() const override; // of one row
    QSize minimumSize() const override;

private:
    /// Puts them into `r`, or only tells how high they are.
    int arrange(const QRect& r, bool put) const;
    std::vector<QLayoutItem*> items_;
};

} // namespace bevel::ui
