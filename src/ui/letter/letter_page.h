// Choosing up to three kept findings and one thing that went well; the page as it will look; PDF and HTML.
#pragma once
#include "ui/letter/sending.h"
#include "ui/review/review_state.h"
#include "ui/shell/notice.h"
#include "ui/shell/place.h"
#include <QTimer>
#include <QWidget>

class QCheckBox;
class QComboBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QPlainTextEdit;
class QPushButton;
class QScrollArea;
class QStackedLayout;

namespace bevel::ui {

class EmptyState;

class LetterPage : public Place {
    Q_OBJECT
public:
    explicit LetterPage(Session& session, QWidget* parent = nullptr);
    QString title() const override { return tr("Letter"); }
    void open(Ref ref) override;
    void open_clip(qint64 clip);
    /// Writes the letter; the ending decides the kind. Reports through the message line.
    void export_to(const QString& file);
    /// The moment of the chosen correction as a slow-motion clip.
    void save_clip(const QString& file);

signals:
    void exported(const QString& file);

private:
    void build();
    void show_choices();
    void choices_changed();
    void choose(const LetterRecord& choices);
    void keep_step();
    void failed(const Error& e, std::function<void()> again);
    LetterRecord record() const;
    void render();
    LetterOrder order() const;
    void show_page(const LetterContent& content);
    void ask_and_export(const QString& ending);
    void ask_and_save_clip();
    void print();
    void show_sent();
    void settle();
    void working(const QString& what);
    QString place_for(const QString& name) const;
    void saved(const QString& file);
    QString chosen() const;

    EmptyState* empty_ = nullptr;
    QStackedLayout* either_ = nullptr; // nothing to show, or a letter
    std::shared_ptr<const OpenReview> open_;
    std::vector<LetterRecord> saved_;
    QTimer delay_;
    int run_ = 0, opening_run_ = 0;
    bool busy_ = false;
    bool filling_ = false;
    LetterRecord shown_; // the choices as they stand, for undo
    QListWidget* corrections_ = nullptr;
    QComboBox* praise_ = nullptr;
    QPlainTextEdit *opening_ = nullptr, *closing_ = nullptr;
    QLineEdit *signed_ = nullptr, *place_ = nullptr;
    std::pair<QString, QString> sender_;
    QCheckBox *hide_ = nullptr, *hide_date_ = nullptr;
    Notice* message_ = nullptr;
    QLabel *preview_ = nullptr, *count_ = nullptr, *title_ = nullptr;
    QPushButton *pdf_ = nullptr, *html_ = nullptr, *print_ = nullptr, *clip_ = nullptr, *sent_ = nullptr;
};

} // namespace bevel::ui
