// The letter as it will go out: its whole pages in one look, and beside them the chosen correction large enough to read; or the pages
// themselves at reading size.
#pragma once
#include "ui/paint/letter_document.h"
#include "ui/shell/session.h"
#include "ui/shell/spoken.h"
#include <QWidget>

class QLabel;
class QPushButton;
class QScrollArea;
class QStackedLayout;

namespace bevel::ui {

/// The pages, small, one under the other; the chosen correction is framed.
class PageStrip : public QWidget, public Spoken {
    Q_OBJECT
public:
    explicit PageStrip(const Session& session, QWidget* parent = nullptr);
    void show_letter(const LetterContent& content);
    void choose(int item);
    /// Pages as wide as lets all of them be seen in so much room, px.
    void fit(const QSize& room);
    /// Where a correction stands in the strip.
    QRectF box_of(int item) const;
    QList<SpokenPart> spoken() const override;

signals:
    void chose(int item);
    void opened(); // to be read at full size

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseDoubleClickEvent(QMouseEvent*) override { emit opened(); }
    void keyPressEvent(QKeyEvent* e) override;

private:
    QRectF page_box(int page) const;
    const Session& session_;
    LetterContent content_;
    std::vector<LetterPlace> places_;
    std::vector<QImage> pages_; // as large as they are shown
    int count_ = 0, chosen_ = -1;
    double wide_ = 200;
};

/// One correction of it as wide as there is room.
class CorrectionSheet : public QWidget, public Spoken {
    Q_OBJECT
public:
    explicit CorrectionSheet(const Session& session, QWidget* parent = nullptr);
    /// `item` of the letter; -1: none, `instead` is said in its place.
    void show_item(const LetterContent& content, int item, const QString& instead);
    QList<SpokenPart> spoken() const override;
    int item() const { return item_; }
    bool hasHeightForWidth() const override { return true; }
    int heightForWidth(int width) const override;

protected:
    void paintEvent(QPaintEvent*) override;

private:
    double column(int width) const; // points, of so many pixels
    const Session& session_;
    LetterContent content_;
    int item_ = -1;
    QString instead_;
};

class LetterView : public QWidget {
    Q_OBJECT
public:
    explicit LetterView(const Session& session, QWidget* parent = nullptr);
    /// Words in place of a letter: that it is being opened, why it cannot be composed.
    void say(const QString& words);
    void show_letter(const LetterContent& content);
    /// The correction that is meant; of another than those in the letter it is said that it is not in it.
    void choose(qint64 clip, const QString& key);
    void read_pages(bool on);
    bool reads_pages() const;
    bool shows_letter() const { return shows_; }
    int chosen() const { return chosen_; }

signals:
    void chose(qint64 clip, const QString& key);
    void shown(); // another letter, or the same one changed

protected:
    bool eventFilter(QObject* of, QEvent* e) override;

private:
    void lay();
    void show_chosen();
    void paint_pages();
    const Session& session_;
    LetterContent content_;
    bool shows_ = false;
    qint64 clip_ = 0;
    QString key_;
    int chosen_ = -1;
    QStackedLayout* stack_ = nullptr; // words, both, pages
    QWidget* both_ = nullptr;
    PageStrip* strip_ = nullptr;
    CorrectionSheet* sheet_ = nullptr;
    QScrollArea *strip_area_ = nullptr, *sheet_area_ = nullptr;
    QLabel *words_ = nullptr, *pages_ = nullptr;
    QPushButton* larger_ = nullptr;
};

} // namespace bevel::ui
