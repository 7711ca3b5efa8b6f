// Choosing up to three kept findings and one thing that went well; the page as it will look; PDF and HTML.
#pragma once
#include "desk/letter.h"
#include "ui/letter/templates.h"
#include "ui/paint/sending.h"
#include "ui/shell/notice.h"
#include "ui/shell/place.h"
#include <QTimer>
#include <QWidget>

class QCheckBox;
class QComboBox;
class QDateEdit;
class QMenu;
class QLabel;
class QLineEdit;
class QListWidget;
class QListWidgetItem;
class QPushButton;
class QScrollArea;
class QStackedLayout;
class QTabWidget;
class QVBoxLayout;

namespace bevel::ui {

class EmptyState;
class FieldEdit;
class LetterView;
class WithBox;

class LetterPage : public Place {
    Q_OBJECT
public:
    explicit LetterPage(Session& session, QWidget* parent = nullptr);
    QString title() const override { return tr("Letter"); }
    void open(Ref ref) override;
    void open_clip(qint64 clip);
    void leave() override; // what was just typed is kept
    void add_actions(Actions& actions) override;
    /// The clip whose letter is shown; 0 while another is being opened.
    qint64 shown_clip() const { return open_ ? open_->clip.id : 0; }
    /// Saves beside the letters written before, under a name of its own, without asking.
    void save_at_once();
    /// Writes the letter; the ending decides the kind. Reports through the message line.
    void export_to(const QString& file);
    /// The moment of the chosen correction as a slow-motion clip.
    void save_clip(const QString& file);
    /// Each correction as a picture for a messenger; several get numbers.
    void save_cards(const QString& file);
    /// The words said aloud, as a sound file.
    void save_spoken(const QString& file);
    /// The letters that were saved today, for paper.
    void save_evening(const QString& file);

signals:
    void exported(const QString& file);
    void filled_in(); // the letter of a clip is shown

private:
    void build();
    QWidget* build_corrections();
    QWidget* build_words();
    void build_free_words();
    QLayout* templates_row();
    QLayout* language_row();
    QLayout* sender_row();
    QLayout* looks_rows();
    QWidget* build_sending();
    template <class Go> QPushButton* said_button(const char* name, const QString& label, const QString& tip, Go go);
    void build_next(QVBoxLayout* form);
    void build_ways(QVBoxLayout* form);
    void build_became(QVBoxLayout* form);
    void show_with();
    void with_changed();
    void fill_templates();
    void take_template(int at);
    void save_template();
    void drop_template();
    void fill_fields();
    void say_status();
    void mark_sent(const QString& how);
    void mark_answered();
    void copy_text();
    void open_mail();
    void save_reminder();
    void phrase_book();
    void touched_language();
    /// A correction of one of the clips the letter answers; `key` empty: the line of another clip.
    struct Chosen {
        qint64 clip = 0;
        QString key;
    };
    static Chosen of_item(const QListWidgetItem* item);
    const Finding* finding(const Chosen& of) const;
    const OpenReview* opened(qint64 clip) const;
    void add_corrections(const OpenReview& open, const LetterRecord* saved, int& chosen);
    void add_beside(const OpenReview& open, const LetterRecord* saved, int& chosen);
    QString file_name(const QString& ending) const;
    void show_choices();
    void choices_changed();
    void choose(const LetterRecord& choices);
    void keep_step();
    void failed(const Error& e, std::function<void()> again);
    LetterRecord record() const;
    void render();
    LetterOrder order() const;
    void ask_and_export(const QString& ending);
    void ask_and_save_clip();
    void ask_and_save_cards();
    void ask_and_save_spoken();
    void ask_and_print_evening();
    void print();
    void show_sent();
    void settle();
    void working(const QString& what);
    QString place_for(const QString& name) const;
    void saved(const QString& file);
    Units units_of_letter() const;
    Chosen chosen() const;

    EmptyState* empty_ = nullptr;
    QStackedLayout* either_ = nullptr; // nothing to show, or a letter
    std::shared_ptr<const OpenReview> open_;
    std::vector<std::shared_ptr<const OpenReview>> beside_; // other clips of the visit
    std::vector<LetterRecord> saved_;
    QTimer delay_;
    int run_ = 0, opening_run_ = 0;
    bool busy_ = false;
    bool filling_ = false;
    LetterRecord shown_; // the choices as they stand, for undo
    QListWidget* corrections_ = nullptr;
    QComboBox* praise_ = nullptr;
    FieldEdit *opening_ = nullptr, *closing_ = nullptr;
    FieldEdit* last_words_ = nullptr; // where a field is put in
    QTabWidget* tabs_ = nullptr;
    WithBox* with_box_ = nullptr;
    QComboBox *template_ = nullptr, *language_ = nullptr, *clip_most_ = nullptr;
    QCheckBox *short_ = nullptr, *large_ = nullptr, *figures_ = nullptr, *look_again_ = nullptr;
    QDateEdit* next_ = nullptr;
    QMenu* fields_ = nullptr;
    QLabel *consent_ = nullptr, *status_ = nullptr, *typed_ = nullptr;
    QPushButton *drop_template_ = nullptr, *text_ = nullptr, *cards_ = nullptr, *spoken_ = nullptr, *mail_ = nullptr, *reminder_ = nullptr,
                *answered_ = nullptr, *mark_ = nullptr;
    std::vector<LetterTemplate> templates_;
    std::vector<OwnForm> own_;                                      // templates of one's own
    bool failing_ = false;                                          // the page could not be composed
    std::map<std::pair<qint64, std::string>, WithCorrection> with_; // by clip and key
    std::map<qint64, HomeGate> gates_;                              // what may be proposed for home, by clip
    Better better_;
    PersonFacts facts_;
    LetterRecord status_of_; // how it was sent and answered, as kept
    QLineEdit *signed_ = nullptr, *place_ = nullptr;
    std::pair<QString, QString> sender_;
    QCheckBox *hide_ = nullptr, *hide_date_ = nullptr;
    Notice* message_ = nullptr;
    LetterView* preview_ = nullptr;
    QLabel *count_ = nullptr, *title_ = nullptr;
    QPushButton *pdf_ = nullptr, *html_ = nullptr, *print_ = nullptr, *clip_ = nullptr, *sent_ = nullptr;
};

} // namespace bevel::ui
