#include "ui/classes/classes_page.h"
#include "core/days.h"
#include "core/files.h"
#include "ui/classes/handover_dialog.h"
#include "ui/paint/class_sheet.h"
#include "ui/shell/step.h"
#include "ui/text/class_words.h"
#include <QFileDialog>
#include <QFileInfo>
#include <QInputDialog>
#include <QLabel>
#include <QMessageBox>
#include <QPushButton>
#include <QStackedLayout>
#include <QTableView>
#include <QTabWidget>

namespace bevel::ui {

ClassesPage::ClassesPage(Session& session, QWidget* parent) : Place(session, "classes", parent) {
    lesson_ = new LessonView(session_);
    facts_ = new ClassFacts(session_);
    common_ = new CommonView(session_);
    course_ = new WeeksView(session_, undo(), true);
    tabs_ = new QTabWidget;
    tabs_->setObjectName(QStringLiteral("classTabs"));
    tabs_->setAccessibleName(tr("About the class"));
    tabs_->addTab(lesson_, tr("Lesson"));
    tabs_->addTab(course_, tr("Course"));
    tabs_->addTab(facts_, tr("Class"));
    tabs_->addTab(common_, tr("In common"));
    notice_ = new Notice;
    auto* right = new QVBoxLayout;
    right->addWidget(tabs_, 1);
    right->addWidget(notice_);
    auto* content = new QWidget;
    auto* all = new QHBoxLayout(content);
    all->setContentsMargins(20, 16, 20, 16);
    all->setSpacing(18);
    all->addWidget(build_side());
    all->addLayout(right, 1);
    empty_ =
        new EmptyState(tr("No class yet"),
                       tr("A class is people who practise together: one plan for all of them, and for each who needs it another way of "
                          "the same thing at the same moment."),
                       tr("A new class …"));
    either_ = new QStackedLayout(this);
    either_->addWidget(empty_);
    either_->addWidget(content);
    connect(empty_->button(), &QPushButton::clicked, this, &ClassesPage::ask_name);
    connect(facts_, &ClassFacts::remove_asked, this, [this] {
        const auto sure = QMessageBox::question(
            this, tr("Remove the class"), tr("The class and the record of its lessons go. Its people, their clips and letters stay."));
        if (sure == QMessageBox::Yes) remove_class();
    });
    connect(facts_, &ClassFacts::hand_over_asked, this, [this](HandOver how) {
        const QString& folder = session_.settings.export_folder;
        const QString name = how == HandOver::page ? QStringLiteral("class.pdf") : QStringLiteral("class.bevelclass");
        const QString file =
            QFileDialog::getSaveFileName(this, tr("Hand it over"), folder.isEmpty() ? name : folder + QLatin1Char('/') + name,
                                         how == HandOver::page ? tr("PDF (*.pdf)") : tr("Class (*.bevelclass)"));
        if (!file.isEmpty()) hand_over(file, how);
    });
    connect(facts_, &ClassFacts::changed, this, [this](const ClassGroup& before, const ClassGroup& after) {
        undo().push(new Step<ClassGroup>(
            tr("the class"), [this](const ClassGroup& g) { keep(g); }, before, after));
    });
    connect(lesson_, &LessonView::changed, this, [this](const Lesson& before, const Lesson& after) {
        undo().push(new Step<Lesson>(
            tr("the lesson"), [this](const Lesson& l) { lesson_->set_lesson(l); }, before, after));
    });
    connect(course_, &WeeksView::kept, this, &ClassesPage::load_courses);
    connect(course_, &WeeksView::lesson_wanted, this, [this](const std::string& day) {
        lesson_->show_day(day);
        tabs_->setCurrentWidget(lesson_);
        if (lesson_->plan().items.empty()) lesson_->propose_now(); // one that was made already stays as it is
    });
    connect(common_, &CommonView::wanted, this, [this](const AskedFor& what) {
        lesson_->ask_for(what);
        tabs_->setCurrentWidget(lesson_);
        lesson_->propose_now();
    });
}

QWidget* ClassesPage::build_side() {
    auto* side = new QWidget;
    side->setFixedWidth(session_.theme.wide(190));
    auto* head = new QLabel(tr("Classes"));
    head->setObjectName(QStringLiteral("title"));
    rows_ = new RowsModel<ClassGroup>({{tr("Class"), [](const ClassGroup& g) {
                                            return tr("%1\n%2", "name, when").arg(QString::fromStdString(g.name), text::class_when(g));
                                        }}});
    list_ = table_of(rows_, QStringLiteral("classes"), tr("Classes"), {0});
    list_->horizontalHeader()->hide();
    list_->setWordWrap(true);
    list_->verticalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    connect(list_->selectionModel(), &QItemSelectionModel::currentRowChanged, this, [this](const QModelIndex& i) {
        const ClassGroup* g = rows_->at(i);
        if (g && !filling_) show_class(g->id);
    });
    auto* add = new QPushButton(tr("A new class …"));
    add->setObjectName(QStringLiteral("addClass"));
    add->setEnabled(!session_.library->read_only());
    connect(add, &QPushButton::clicked, this, &ClassesPage::ask_name);
    auto* from_file = new QPushButton(tr("Take one over …"));
    from_file->setObjectName(QStringLiteral("takeOverClass"));
    from_file->setToolTip(tr("A class that a colleague handed over as a file"));
    from_file->setEnabled(!session_.library->read_only());
    connect(from_file, &QPushButton::clicked, this, &ClassesPage::ask_file);
    auto* box = new QVBoxLayout(side);
    box->setContentsMargins(0, 0, 0, 0);
    box->addWidget(head);
    box->addWidget(list_, 1);
    box->addWidget(add);
    box->addWidget(from_file);
    return side;
}

void ClassesPage::open(Ref) {
    setFocus();
    load(wanted_);
}

void ClassesPage::load(qint64 choose) {
    struct All {
        std::vector<ClassGroup> classes;
        std::vector<Person> people;
    };
    session_.background->run<Result<All>>(
        this,
        [lib = session_.library](std::stop_token) -> Result<All> {
            auto classes = lib->classes().all();
            auto people = lib->people().all();
            if (!classes) return tl::unexpected(classes.error());
            if (!people) return tl::unexpected(people.error());
            return All{std::move(*classes), std::move(*people)};
        },
        [this, choose](const Result<All>& all) {
            if (!all) return notice_->problem(text::error(all.error()));
            people_ = all->people;
            filling_ = true;
            rows_->set_rows(all->classes);
            either_->setCurrentIndex(all->classes.empty() ? 0 : 1);
            int row = 0;
            for (int i = 0; i < rows_->rowCount(); ++i)
                if (rows_->rows()[static_cast<std::size_t>(i)].id == choose) row = i;
            list_->selectRow(row);
            filling_ = false;
            if (rows_->rowCount() > 0) show_class(rows_->rows()[static_cast<std::size_t>(row)].id);
        });
}

void ClassesPage::show_class(qint64 id) {
    wanted_ = id;
    load_sheet();
}

void ClassesPage::load_sheet() {
    const int run = ++run_;
    session_.background->run<Result<ClassSheet>>(
        this,
        [lib = session_.library, id = wanted_, forms = session_.forms(), day = today()](std::stop_token) {
            return class_sheet(*lib, id, day, forms);
        },
        [this, run](const Result<ClassSheet>& sheet) {
            if (run != run_) return;
            if (!sheet) return notice_->problem(text::error(sheet.error()));
            notice_->say({});
            if (!sheet_ || sheet_->group.id != sheet->group.id) undo().clear(); // what is undone is of the class that is shown
            sheet_ = *sheet;
            facts_->show_class(sheet_->group, people_);
            lesson_->show_class(*sheet_);
            common_->show_class(*sheet_);
            course_->show_class(sheet_->group);
            emit filled();
        });
}

/// The weeks of a course were changed: the lesson is told of them.
void ClassesPage::load_courses() {
    if (!sheet_) return;
    session_.background->run<Result<std::pair<std::vector<CourseOf>, int>>>(
        this, [lib = session_.library, id = sheet_->group.id](std::stop_token) { return courses_of_class(*lib, id); },
        [this, id = sheet_->group.id](const Result<std::pair<std::vector<CourseOf>, int>>& courses) {
            if (!courses) return notice_->problem(text::error(courses.error()));
            if (!sheet_ || sheet_->group.id != id) return;
            sheet_->courses = courses->first;
            lesson_->set_courses(courses->first);
            emit courses_known();
        });
}

void ClassesPage::keep(const ClassGroup& group) {
    ++keeping_;
    session_.background->run<Result<std::int64_t>>(
        this, [lib = session_.library, group](std::stop_token) { return lib->classes().keep(group); },
        [this](const Result<std::int64_t>& id) {
            --keeping_;
            if (!id) return notice_->problem(text::error(id.error()));
            if (keeping_ == 0) load(*id); // else the fields are further already
        });
}

void ClassesPage::ask_name() {
    bool ok = false;
    const QString name = QInputDialog::getText(this, tr("A new class"), tr("Name"), QLineEdit::Normal, {}, &ok).trimmed();
    if (ok && !name.isEmpty()) add_class(name);
}

void ClassesPage::add_class(const QString& name) {
    ClassGroup g;
    g.name = name.toStdString();
    tabs_->setCurrentWidget(facts_); // who belongs to it comes first
    keep(g);
}

void ClassesPage::remove_class() {
    if (!sheet_) return;
    session_.background->run<Result<bool>>(
        this, [lib = session_.library, id = sheet_->group.id](std::stop_token) { return lib->classes().remove(id); },
        [this](const Result<bool>& ok) {
            if (!ok) return notice_->problem(text::error(ok.error()));
            undo().clear();
            sheet_.reset();
            load(0);
        });
}

void ClassesPage::hand_over(const QString& file, HandOver how) {
    if (!sheet_) return;
    session_.files().run<Result<bool>>(
        this,
        [lib = session_.library, id = sheet_->group.id, forms = session_.forms(), catalogue = session_.catalogue, day = today(), how,
         path = std::filesystem::path(file.toStdString())](std::stop_token) -> Result<bool> {
            const auto sheet = class_sheet(*lib, id, day, forms);
            if (!sheet) return tl::unexpected(sheet.error());
            if (how != HandOver::page) return write_whole(path, handover_text(handover_of(*sheet, how == HandOver::with_names)));
            const auto figures = figures_of_class(*lib, *sheet, "", "");
            if (!figures) return tl::unexpected(figures.error());
            const auto page =
                lesson_pdf(QString::fromStdString(sheet->group.name), class_html(*sheet, day, forms, catalogue, common_faults(*figures)));
            if (!page) return tl::unexpected(page.error());
            return write_whole(path, {page->constData(), static_cast<std::size_t>(page->size())});
        },
        [this, file](const Result<bool>& ok) {
            if (!ok) return notice_->problem(text::error(ok.error()));
            session_.settings.export_folder = QFileInfo(file).absolutePath();
            notice_->say(tr("Saved: %1. It names what people may not do: give it to nobody but whoever leads them.").arg(file));
            emit handed_over(file);
        });
}

void ClassesPage::ask_file() {
    const QString file = QFileDialog::getOpenFileName(this, tr("Take over a class"), session_.settings.export_folder,
                                                      tr("Class (*.bevelclass);;All files (*)"));
    if (!file.isEmpty()) take_over(file);
}

void ClassesPage::take_over(const QString& file) {
    struct Read {
        Handover handover;
        WhoIsWho guess;
        std::vector<Person> people;
    };
    session_.files().run<Result<Read>>(
        this,
        [lib = session_.library, path = std::filesystem::path(file.toStdString())](std::stop_token) -> Result<Read> {
            const auto bytes = read_text(path, handover_most);
            if (!bytes) return tl::unexpected(bytes.error());
            auto handover = parse_handover(*bytes);
            if (!handover) return tl::unexpected(handover.error());
            auto guess = who_is_who(*lib, *handover);
            if (!guess) return tl::unexpected(guess.error());
            auto people = lib->people().all();
            if (!people) return tl::unexpected(people.error());
            return Read{std::move(*handover), std::move(*guess), std::move(*people)};
        },
        [this, file](const Result<Read>& read) {
            if (!read) {
                either_->setCurrentIndex(1); // where what is wrong can be read
                return notice_->problem(
                    tr("%1 is no class that can be taken over: %2").arg(QFileInfo(file).fileName(), text::error(read.error())));
            }
            auto* dialog = new HandoverDialog(read->handover, read->people, read->guess, session_.catalogue, this);
            dialog->setAttribute(Qt::WA_DeleteOnClose);
            connect(dialog, &QDialog::accepted, this, [this, dialog, handover = read->handover] { take(handover, dialog->who()); });
            dialog->open();
        });
}

void ClassesPage::take(const Handover& handover, const WhoIsWho& who) {
    session_.background->run<Result<std::int64_t>>(
        this,
        [lib = session_.library, handover, who, day = today(), reason = tr("Handed over with the class.").toStdString()](std::stop_token) {
            return bevel::take_over(*lib, handover, who, reason, day);
        },
        [this](const Result<std::int64_t>& id) {
            if (!id) return notice_->problem(text::error(id.error()));
            load(*id);
        });
}

void ClassesPage::add_actions(Actions& actions) {
    using M = Actions::Menu;
    actions.add(this, M::clip, "lessonProposeAction", tr("Propose a lesson"), {QKeySequence(Qt::Key_F8)},
                [this] { tabs_->currentWidget() == course_ ? course_->make_anew() : lesson_->propose_now(); });
    actions.add(this, M::clip, "takeOverAction", tr("Take over a class …"), {}, [this] {
        if (!session_.library->read_only()) ask_file();
    });
    actions.add(this, M::clip, "lessonHoldAction", tr("Hold the lesson"), {QKeySequence(Qt::Key_F9)}, [this] { lesson_->run_now(); });
}

} // namespace bevel::ui
