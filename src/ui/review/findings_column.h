// What was found, as cards: corrections first, notes apart, what is agreed with the student at the end.
#pragma once
#include "ui/review/review_state.h"
#include <QWidget>

class QBoxLayout;
class QComboBox;
class QGridLayout;
class QScrollArea;

namespace bevel::ui {

class FindingsColumn : public QWidget {
    Q_OBJECT
public:
    FindingsColumn(const Session& session, ReviewState& state, QWidget* parent = nullptr);
    void fill();
    /// The finding that keys speak of: outside or at the edge, in the order shown. Null without any.
    const Finding* current() const;
    void begin_anew(); // another clip is open
    void step(int by); // to the next or the one before; its moment is shown
    void decide_current(Choice choice);
    void reword_current();

signals:
    void reworded(const bevel::Finding& f, const QString& words);
    void decided(const bevel::Finding& f, bevel::Choice choice, const QString& wording);
    /// A band is to be agreed about a check, or an agreement changed.
    void taken_out(const bevel::Finding& f); // something seen is no longer said
    void show_me(const bevel::Finding& f);
    void agree(const QString& check);
    void as_named();                        // the clip shows what it is named
    void as_other(const QString& movement); // or that one

protected:
    void resizeEvent(QResizeEvent* e) override;

private:
    QWidget* card(const Finding& f, const std::vector<const Finding*>& remark);
    void add_decisions(const Finding& f, const QString& name, QGridLayout* grid, QWidget* why);
    static QWidget* note(const QString& words, const char* name);
    QString when_and_where(const Finding& f, const std::vector<const Finding*>& remark) const;
    QStringList state_of(const Finding& f) const;
    std::vector<QWidget*> cards_of(bool what_matters);
    QWidget* nothing_said(bool what_matters) const;
    void add_day(QBoxLayout* box);
    void add_asked(QBoxLayout* box);
    void add_agreements(QBoxLayout* box);
    QWidget* small_button(const QString& label, const char* name, const QString& accessible, bool checkable, bool on,
                          std::function<void(bool)> go);
    void reword(const Finding& f, const Decision& d);
    void show_why(const Finding& f);

    std::vector<const Finding*> in_hand() const;
    void make_current(const Finding& f);

    const Session& session_;
    ReviewState& state_;
    FindingKey current_;
    QComboBox* scope_ = nullptr;
    QScrollArea* list_ = nullptr;
};

} // namespace bevel::ui
