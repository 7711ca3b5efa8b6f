#include "ui/review/why_dialog.h"
#include "ui/paint/band_picture.h"
#include "ui/shell/spoken.h"
#include <QDialogButtonBox>
#include <QGridLayout>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QScrollArea>

namespace bevel::ui {
namespace {

class BandView : public QWidget, public Spoken {
public:
    BandView(const Session& session, std::shared_ptr<const OpenReview> open, Finding f, const Units& units)
        : session_(session), open_(std::move(open)), finding_(std::move(f)), units_(units) {
        setObjectName(QStringLiteral("whyBand"));
        setFixedHeight(session_.theme.wide(128));
        setAccessibleName(WhyDialog::tr("Figure, band and repetitions"));
    }
    QList<SpokenPart> spoken() const override {
        const QString unit = QString::fromStdString(finding_.unit);
        QList<SpokenPart> out{{WhyDialog::tr("Figure"), text::with_sigma(finding_.value, finding_.sigma, unit, units_), rect()},
                              {WhyDialog::tr("Band"), text::aim(finding_, units_), rect()}};
        for (const auto& o : finding_.outcomes) out << SpokenPart{text::time(o.time_s), text::figure(o.value, unit, units_), rect()};
        return out;
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        draw_band(p, QRectF(rect()).adjusted(8, 4, -8, -4), finding_, *open_->review, session_.theme, units_);
    }

private:
    const Session& session_;
    std::shared_ptr<const OpenReview> open_;
    Finding finding_;
    Units units_;
};

QLabel* words(const QString& s, const char* name) {
    auto* label = new QLabel(s);
    label->setObjectName(QLatin1String(name));
    label->setWordWrap(true);
    label->setTextInteractionFlags(Qt::TextSelectableByMouse | Qt::TextSelectableByKeyboard);
    return label;
}

} // namespace

WhyDialog::WhyDialog(const Session& session, std::shared_ptr<const OpenReview> open, const Finding& f, const Units& units,
                     const QString& cue, QWidget* parent)
    : QDialog(parent) {
    setObjectName(QStringLiteral("whyDialog"));
    setAttribute(Qt::WA_DeleteOnClose);
    const QString seen = text::fault(f, session.catalogue);
    setWindowTitle(tr("Why: %1").arg(seen));
    auto* page = new QWidget;
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(6, 4, 14, 4);
    box->addWidget(words(seen, "title"));
    if (!cue.isEmpty()) box->addWidget(words(cue, "whyCue"));
    if (f.verdict != Verdict::cannot_tell) box->addWidget(new BandView(session, open, f, units));
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(18);
    grid->setVerticalSpacing(10);
    grid->setColumnStretch(1, 1);
    for (const auto& part : text::why(f, *open->review, session.catalogue, units)) {
        auto* heading = words(part.heading, "faint");
        heading->setFixedWidth(session.theme.wide(130));
        const int row = grid->rowCount();
        grid->addWidget(heading, row, 0, Qt::AlignTop);
        grid->addWidget(words(part.lines.join(QLatin1Char('\n')), "whyText"), row, 1);
    }
    box->addLayout(grid);
    box->addStretch(1);
    auto* scroll = new QScrollArea;
    scroll->setWidget(page);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* all = new QVBoxLayout(this);
    all->addWidget(scroll, 1);
    auto* close = new QDialogButtonBox(QDialogButtonBox::Close);
    auto* agree_button = close->addButton(tr("Agree on another band …"), QDialogButtonBox::ActionRole);
    agree_button->setObjectName(QStringLiteral("agree"));
    connect(agree_button, &QPushButton::clicked, this, [this] {
        this->close();
        emit agree();
    });
    if (f.direction != Direction::none) {
        auto* show = close->addButton(tr("Show me"), QDialogButtonBox::ActionRole);
        show->setObjectName(QStringLiteral("showMe"));
        show->setToolTip(tr("The fault beside the right one, in Forms"));
        connect(show, &QPushButton::clicked, this, [this] {
            this->close();
            emit show_me();
        });
    }
    connect(close, &QDialogButtonBox::rejected, this, &QDialog::close);
    all->addWidget(close);
    resize(session.theme.wide(640), std::min(session.theme.wide(640), page->sizeHint().height() + session.theme.wide(260)));
}

} // namespace bevel::ui
