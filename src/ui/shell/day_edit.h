// A day as people write it, "3 Nov 2026", with a calendar to choose it from.
#pragma once
#include <QDateEdit>

namespace bevel::ui {

class DayEdit : public QDateEdit {
public:
    explicit DayEdit(const QDate& day = QDate::currentDate(), QWidget* parent = nullptr) : QDateEdit(day, parent) {
        setDisplayFormat(QStringLiteral("d MMM yyyy"));
        setCalendarPopup(true);
    }
};

} // namespace bevel::ui
