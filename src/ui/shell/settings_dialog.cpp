#include "ui/shell/settings_dialog.h"
#include "ui/jobs/jobs.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QFileDialog>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>

namespace bevel::ui {
namespace {

QComboBox* choice(const char* name, const QString& label, const QList<std::pair<QString, QVariant>>& items, const QVariant& now) {
    auto* box = new QComboBox;
    box->setObjectName(QLatin1String(name));
    box->setAccessibleName(label);
    for (const auto& [text, value] : items) box->addItem(text, value);
    box->setCurrentIndex(std::max(0, box->findData(now)));
    return box;
}

template <class E> int number(E value) {
    return static_cast<int>(value);
}

/// A folder with the way to choose another one.
QLayout* folder(QLineEdit* line, const QString& label, const char* name, const QString& value, const QString& usual, QWidget* owner) {
    line->setText(value);
    line->setPlaceholderText(usual);
    line->setObjectName(QLatin1String(name));
    line->setAccessibleName(label);
    line->setClearButtonEnabled(true);
    auto* browse = new QPushButton(SettingsDialog::tr("Choose …"));
    browse->setAccessibleName(SettingsDialog::tr("Choose a folder: %1").arg(label));
    QObject::connect(browse, &QPushButton::clicked, owner, [line, label, owner] {
        const QString f = QFileDialog::getExistingDirectory(owner, label, line->text());
        if (!f.isEmpty()) line->setText(f);
    });
    auto* row = new QHBoxLayout;
    row->addWidget(line, 1);
    row->addWidget(browse);
    return row;
}

} // namespace

SettingsDialog::SettingsDialog(Session& session, QWidget* parent) : QDialog(parent), session_(session) {
    setObjectName(QStringLiteral("settingsDialog"));
    setWindowTitle(tr("Settings"));
    setMinimumWidth(session_.theme.wide(560));
    build();
    read_sender();
}

void SettingsDialog::build() {
    const Settings& s = session_.settings;
    QList<std::pair<QString, QVariant>> tongues{{tr("as the system"), QString()}};
    for (const QString& code : languages()) tongues << std::pair<QString, QVariant>{language_name(code), code};
    language_ = choice("language", tr("Language"), tongues, s.language);
    theme_ = choice("theme", tr("Colours"),
                    {{tr("as the system"), number(ThemeChoice::system)},
                     {tr("light"), number(ThemeChoice::light)},
                     {tr("dark"), number(ThemeChoice::dark)}},
                    number(s.theme));
    QList<std::pair<QString, QVariant>> sizes;
    for (const int percent : {90, 100, 110, 120, 140}) sizes << std::pair<QString, QVariant>{tr("%1 %").arg(percent), percent};
    size_ = choice("textSize", tr("Size of the text"), sizes, s.text_percent);
    lengths_ = choice("lengths", tr("Lengths"), {{tr("centimetres"), false}, {tr("inches"), true}}, s.inches);
    widths_ = choice("widths", tr("Widths of the stance"),
                     {{tr("in shoulder widths (SW)"), number(Units::Width::shoulders)},
                      {tr("as a length"), number(Units::Width::length)},
                      {tr("in own fists"), number(Units::Width::fists)},
                      {tr("in own foot lengths"), number(Units::Width::feet)}},
                     number(s.width));
    widths_->setToolTip(tr("Always of the student's own body. A fist is taken as a twentieth of the height, unless it was marked on a "
                           "picture in Ground."));
    model_ = choice("bodyModel", tr("Finding the body"),
                    {{tr("quick, less sure"), number(BodyModel::lite)},
                     {tr("usual"), number(BodyModel::full)},
                     {tr("thorough, takes several times as long"), number(BodyModel::heavy)}},
                    number(s.model));
    mirrored_ = new QCheckBox(tr("New clips are mirrored"));
    mirrored_->setObjectName(QStringLiteral("mirroredByDefault"));
    mirrored_->setChecked(s.mirrored);
    library_ = new QLineEdit;
    exports_ = new QLineEdit;
    inbox_ = new QLineEdit;
    signed_ = new QLineEdit;
    signed_->setObjectName(QStringLiteral("sender"));
    signed_->setAccessibleName(tr("Letters are signed by"));
    place_ = new QLineEdit;
    place_->setObjectName(QStringLiteral("senderPlace"));
    place_->setAccessibleName(tr("School or hall"));
    auto* form = new QFormLayout(this);
    form->setFieldGrowthPolicy(QFormLayout::AllNonFixedFieldsGrow);
    form->addRow(tr("Language"), language_);
    form->addRow(tr("Colours"), theme_);
    form->addRow(tr("Size of the text"), size_);
    form->addRow(tr("Lengths"), lengths_);
    form->addRow(tr("Widths of the stance"), widths_);
    form->addRow(tr("Finding the body"), model_);
    form->addRow(QString(), mirrored_);
    form->addRow(tr("Letters are signed by"), signed_);
    form->addRow(tr("School or hall"), place_);
    form->addRow(tr("Library"), folder(library_, tr("Folder of the library"), "libraryFolder", s.library, tr("the usual folder"), this));
    auto* note = new QLabel(tr("Another library is opened at the next start. This one stays where it is."));
    note->setObjectName(QStringLiteral("faint"));
    note->setWordWrap(true);
    form->addRow(QString(), note);
    form->addRow(tr("Take clips in from"), folder(inbox_, tr("Folder whose clips are taken in by themselves"), "inboxFolder", s.inbox,
                                                  tr("no folder is watched"), this));
    form->addRow(tr("Letters and clips go to"),
                 folder(exports_, tr("Folder of what is saved"), "exportFolder", s.export_folder, tr("where the last one went"), this));
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    form->addRow(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &SettingsDialog::keep);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
}

void SettingsDialog::read_sender() {
    using Sender = std::pair<std::string, std::string>;
    session_.background->run<Sender>(
        this,
        [lib = session_.library](std::stop_token) {
            return Sender{lib->settings().get("signed_by"), lib->settings().get("place")};
        },
        [this](const Sender& s) {
            signed_->setText(QString::fromStdString(s.first));
            place_->setText(QString::fromStdString(s.second));
            sender_read_ = true;
        });
}

Settings SettingsDialog::settings() const {
    Settings s = session_.settings;
    s.language = language_->currentData().toString();
    s.theme = static_cast<ThemeChoice>(theme_->currentData().toInt());
    s.text_percent = size_->currentData().toInt();
    s.inches = lengths_->currentData().toBool();
    s.width = static_cast<Units::Width>(widths_->currentData().toInt());
    s.model = static_cast<BodyModel>(model_->currentData().toInt());
    s.mirrored = mirrored_->isChecked();
    s.library = library_->text().trimmed();
    s.inbox = inbox_->text().trimmed();
    s.export_folder = exports_->text().trimmed();
    return s;
}

void SettingsDialog::keep() {
    if (sender_read_) // else it would be lost for what was not shown yet
        session_.background->run<bool>(
            session_.jobs,
            [lib = session_.library, by = signed_->text().toStdString(), place = place_->text().toStdString()](std::stop_token) {
                return lib->settings().set("signed_by", by).has_value() && lib->settings().set("place", place).has_value();
            },
            [](bool) {});
    emit chosen(settings());
    accept();
}

} // namespace bevel::ui
