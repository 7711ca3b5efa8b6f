// Quiet tests of a person: filmed or typed in, each figure against the same person's own past.
#pragma once
#include "desk/person_sheet.h"
#include "desk/quiet_tests.h"
#include "ui/people/trend_view.h"
#include "ui/shell/notice.h"
#include "ui/shell/rows_model.h"
#include <QWidget>

class QComboBox;
class QLabel;
class QPushButton;
class QTableView;

namespace bevel::ui {

class TestsView : public QWidget {
    Q_OBJECT
public:
    explicit TestsView(Session& session, QWidget* parent = nullptr);
    void show_sheet(const PersonSheet& sheet);
    const std::vector<KeptTest>& tests() const { return tests_; }
    QuietTest chosen() const;
    /// The chosen test as that clip shows it, kept.
    void take_from(qint64 clip);
    /// As it was typed in.
    void keep(const KeptTest& test);
    void drop(std::int64_t id);
    /// The newest test of the chosen kind says for good how its person is.
    void take_up();

signals:
    void kept();
    /// Is to be taken out, in a way that can be undone.
    void unwanted(const bevel::KeptTest& test);
    void own_wanted(const bevel::PersonNeutral& after);
    void step_wanted(int step); // of the balance ladder

private:
    struct Line {
        const FigureTrend* trend = nullptr;
        const KeptTest* test = nullptr; // the newest that tells it
    };
    void fill();
    void type_in();
    void show_trend();
    const KeptTest* newest() const; // of the chosen kind
    void changed(const Result<bool>& ok);
    Session& session_;
    std::int64_t person_ = 0;
    std::vector<KeptTest> tests_;
    std::vector<FigureTrend> trends_;
    std::vector<RecordLine> clips_;
    bool taking_ = false;
    QComboBox *test_ = nullptr, *clip_ = nullptr;
    QLabel *set_up_ = nullptr, *not_when_ = nullptr, *advice_ = nullptr;
    PersonNeutral own_;
    LadderAdvice ladder_;
    TrendView* trend_ = nullptr;
    RowsModel<Line>* rows_ = nullptr;
    QTableView* table_ = nullptr;
    QPushButton *take_ = nullptr, *type_ = nullptr, *drop_ = nullptr, *own_up_ = nullptr, *step_ = nullptr;
    Notice* notice_ = nullptr;
};

} // namespace bevel::ui
