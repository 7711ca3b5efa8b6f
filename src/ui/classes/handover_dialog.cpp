#include "ui/classes/handover_dialog.h"
#include "ui/text/languages.h"
#include <QComboBox>
#include <QDialogButtonBox>
#include <QGridLayout>
#include <QLabel>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>

namespace bevel::ui {

HandoverDialog::HandoverDialog(const Handover& h, const std::vector<Person>& people, const WhoIsWho& guess, const Catalogue& catalogue,
                               QWidget* parent)
    : QDialog(parent) {
    setObjectName(QStringLiteral("handover"));
    setWindowTitle(tr("Take over a class"));
    resize(640, 480);
    const auto plain = [](const QString& words, const char* name) {
        auto* l = new QLabel(words);
        l->setObjectName(QLatin1String(name));
        l->setTextFormat(Qt::PlainText); // names come from a file
        l->setWordWrap(true);
        return l;
    };
    auto* grid = new QGridLayout;
    grid->setColumnStretch(1, 1);
    for (std::size_t k = 0; k < h.people.size(); ++k) {
        const auto& p = h.people[k];
        QStringList limits;
        for (const auto& [limit, until] : p.limits)
            limits << (until.empty() ? text::check_name(check_of_limit(limit), catalogue)
                                     : tr("%1 until %2").arg(text::check_name(check_of_limit(limit), catalogue), text::day(until, true)));
        const QString name = QString::fromStdString(p.name);
        auto* box = new QComboBox;
        box->setObjectName(QStringLiteral("handedPerson"));
        box->setAccessibleName(tr("Who %1 is").arg(name));
        box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        box->setMinimumContentsLength(16);
        box->addItem(tr("somebody new"), qint64{0});
        for (const auto& known : people) box->addItem(QString::fromStdString(known.name), static_cast<qint64>(known.id));
        box->setCurrentIndex(std::max(0, box->findData(static_cast<qint64>(guess[k]))));
        connect(box, &QComboBox::currentIndexChanged, this, &HandoverDialog::look);
        who_.push_back(box);
        const int row = static_cast<int>(k);
        grid->addWidget(plain(name, "handedName"), row, 0);
        grid->addWidget(plain(limits.join(QStringLiteral(", ")), "faint"), row, 1);
        grid->addWidget(box, row, 2);
    }
    auto* list = new QWidget;
    auto* list_box = new QVBoxLayout(list);
    list_box->addLayout(grid);
    list_box->addStretch(1);
    auto* scroll = new QScrollArea;
    scroll->setAccessibleName(tr("The people of the class"));
    scroll->setWidget(list);
    scroll->setWidgetResizable(true);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Cancel);
    take_ = buttons->addButton(tr("Take it over"), QDialogButtonBox::AcceptRole);
    take_->setObjectName(QStringLiteral("primary"));
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    problem_ = plain({}, "handoverProblem");
    auto* all = new QVBoxLayout(this);
    all->addWidget(plain(tr("“%1”: %2, %3, %4.", "class, people, lessons, courses")
                             .arg(QString::fromStdString(h.group.name), tr("%n people", nullptr, static_cast<int>(h.people.size())),
                                  tr("%n lesson(s)", nullptr, static_cast<int>(h.lessons.size())),
                                  tr("%n course(s)", nullptr, static_cast<int>(h.courses.size()))),
                         "heading"));
    all->addWidget(plain(tr("Who of them is here already? They keep all that is known of them; what the file says that they may not do is "
                            "agreed with them too."),
                         "faint"));
    all->addWidget(scroll, 1);
    all->addWidget(problem_);
    all->addWidget(buttons);
    look();
}

WhoIsWho HandoverDialog::who() const {
    WhoIsWho out;
    for (const auto* box : who_) out.push_back(box->currentData().toLongLong());
    return out;
}

void HandoverDialog::look() {
    const auto all = who();
    QString twice;
    for (std::size_t k = 0; k < all.size(); ++k)
        if (all[k] != 0 && std::count(all.begin(), all.end(), all[k]) > 1) twice = who_[k]->currentText();
    problem_->setText(twice.isEmpty() ? QString() : tr("%1 cannot be two of them.").arg(twice));
    take_->setEnabled(twice.isEmpty());
}

} // namespace bevel::ui
