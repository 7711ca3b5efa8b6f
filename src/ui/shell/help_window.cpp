#include "ui/shell/help_window.h"
#include "core/align/reference.h"
#include "ui/paint/body.h"
#include "ui/text/help.h"
#include <QHBoxLayout>
#include <QLineEdit>
#include <QListWidget>
#include <QTextBrowser>
#include <QTextDocument>
#include <QUrl>
#include <QVBoxLayout>

namespace bevel::ui {

HelpWindow::HelpWindow(const Session& session, QWidget* parent) : QDialog(parent), session_(session) {
    setObjectName(QStringLiteral("helpWindow"));
    setWindowTitle(tr("Measures, rules and marks"));
    resize(860, 640);
    search_ = new QLineEdit;
    search_->setObjectName(QStringLiteral("helpSearch"));
    search_->setAccessibleName(tr("Search"));
    search_->setPlaceholderText(tr("Search: knee, weight, breath …"));
    search_->setClearButtonEnabled(true);
    topics_ = new QListWidget;
    topics_->setObjectName(QStringLiteral("helpTopics"));
    topics_->setAccessibleName(tr("Topics"));
    page_ = new QTextBrowser;
    page_->setObjectName(QStringLiteral("helpPage"));
    page_->setAccessibleName(tr("Page"));
    page_->setOpenLinks(false);
    auto* left = new QVBoxLayout;
    left->addWidget(search_);
    left->addWidget(topics_, 1);
    auto* all = new QHBoxLayout(this);
    all->addLayout(left, 1);
    all->addWidget(page_, 3);
    connect(search_, &QLineEdit::textChanged, this, &HelpWindow::fill);
    connect(topics_, &QListWidget::currentItemChanged, this, [this](QListWidgetItem* it) {
        if (!it) return page_->clear();
        page_->setHtml(it->data(Qt::UserRole + 1).toString());
        if (!search_->text().isEmpty()) page_->find(search_->text());
    });
    draw_pictures();
    fill({});
}

void HelpWindow::draw_pictures() {
    const double dpr = devicePixelRatioF();
    auto canvas = [&](int w, int h) {
        QPixmap px(QSize(w, h) * dpr);
        px.setDevicePixelRatio(dpr);
        px.fill(Qt::transparent);
        return px;
    };
    for (const Verdict v : {Verdict::inside, Verdict::edge, Verdict::outside, Verdict::cannot_tell}) {
        QPixmap px = canvas(26, 26);
        QPainter p(&px);
        draw_mark(p, QRectF(2, 2, 22, 22), v, session_.theme, 1.5, -1);
        p.end();
        const auto name = verdict_name(v);
        page_->document()->addResource(QTextDocument::ImageResource,
                                       QUrl(QStringLiteral("mark:") + QString::fromUtf8(name.data(), static_cast<qsizetype>(name.size()))),
                                       px);
    }
    if (session_.movements.empty()) return;
    // The reference figure in the middle of a movement, from a little aside, with what belongs to each part.
    auto movement = session_.movement("part_the_horses_mane");
    if (!movement) movement = session_.movements.find([](const Movement&) { return true; });
    const Reference reference(*movement, 1.7);
    const auto& borders = reference.borders(Side::left);
    const Body3 body = reference.pose(borders[borders.size() / 2]).points;
    const double turn = 0.6, k = 130;
    for (int f = 0; f < family_count; ++f) {
        QPixmap px = canvas(250, 260);
        QPainter p(&px);
        p.setRenderHint(QPainter::Antialiasing);
        BodyPx flat;
        for (std::size_t i = 0; i < body.size(); ++i) {
            const Vec3& q = body[i];
            // As a camera in front sees it: own left on the right of the picture.
            flat[i] = {};
            flat[i].x = 125 + k * (q.x() * std::cos(turn) + q.z() * std::sin(turn));
            flat[i].y = 245 - k * q.y();
            flat[i].visibility = 1;
        }
        draw_body(
            p, flat, static_cast<Family>(f), [](double x, double y) { return QPointF(x, y); }, session_.theme, 2.2);
        p.end();
        page_->document()->addResource(QTextDocument::ImageResource, QUrl(QStringLiteral("body:%1").arg(f)), px);
    }
}

void HelpWindow::show_topic(const QString& id) {
    for (int i = 0; i < topics_->count(); ++i)
        if (topics_->item(i)->data(Qt::UserRole).toString() == id) topics_->setCurrentRow(i);
}

void HelpWindow::fill(const QString& words) {
    topics_->clear();
    for (const auto& p : help_pages(session_.catalogue)) {
        QTextDocument plain;
        plain.setHtml(p.html);
        if (!words.trimmed().isEmpty() && !plain.toPlainText().contains(words.trimmed(), Qt::CaseInsensitive)) continue;
        auto* it = new QListWidgetItem(p.title, topics_);
        it->setData(Qt::UserRole, p.id);
        it->setData(Qt::UserRole + 1, p.html);
    }
    if (topics_->count() > 0) topics_->setCurrentRow(0);
}

} // namespace bevel::ui
