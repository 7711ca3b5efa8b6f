#include "ui/letter/letter_view.h"
#include <cmath>
#include <QKeyEvent>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QScrollArea>
#include <QStackedLayout>
#include <QStyle>
#include <QVBoxLayout>

namespace bevel::ui {
namespace {
constexpr double page_w = 595, page_h = 842; // points
constexpr int between = 10;                  // px, of two pages
constexpr int edge = 16;                     // px, about a correction on its sheet
constexpr double narrow = 96;                // px: no page is shown smaller

QImage page_image(const LetterContent& c, int page, double zoom, double ratio) {
    QImage im(static_cast<int>(std::lround(page_w * zoom * ratio)), static_cast<int>(std::lround(page_h * zoom * ratio)),
              QImage::Format_RGB32);
    im.fill(Qt::white);
    QPainter p(&im);
    p.setRenderHints(QPainter::Antialiasing | QPainter::TextAntialiasing);
    p.scale(zoom * ratio, zoom * ratio);
    paint_letter_page(p, c, page, Theme()); // letters are printed on white
    p.end();
    im.setDevicePixelRatio(ratio);
    return im;
}

QScrollArea* scrolled(QWidget* w, const QString& name) {
    auto* area = new QScrollArea;
    area->setFrameShape(QFrame::NoFrame);
    area->setWidgetResizable(true);
    area->setAccessibleName(name);
    area->setWidget(w);
    return area;
}
} // namespace

PageStrip::PageStrip(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("The whole letter"));
    setAccessibleDescription(tr("Up and down choose a correction, Enter reads the pages"));
    setToolTip(tr("Click a correction to see it large; double-click to read the pages"));
}

void PageStrip::show_letter(const LetterContent& content) {
    content_ = content;
    places_ = letter_places(content);
    count_ = letter_pages(content);
    pages_.clear();
    announce(this);
    update();
}

void PageStrip::choose(int item) {
    chosen_ = item;
    update();
}

void PageStrip::fit(const QSize& room) {
    const double by_height = (room.height() - between * (count_ - 1)) / (std::max(count_, 1) * page_h / page_w);
    const double wide = std::max(narrow, std::min<double>(room.width(), std::floor(by_height)));
    if (wide != wide_) pages_.clear();
    wide_ = wide;
    const double tall = count_ * wide * page_h / page_w + between * (count_ - 1);
    setFixedSize(static_cast<int>(wide), static_cast<int>(std::ceil(tall)));
    update();
}

QRectF PageStrip::page_box(int page) const {
    const double tall = wide_ * page_h / page_w;
    return {0, page * (tall + between), wide_, tall};
}

QRectF PageStrip::box_of(int item) const {
    if (item < 0 || item >= static_cast<int>(places_.size())) return {};
    const auto& place = places_[static_cast<std::size_t>(item)];
    const double k = wide_ / page_w;
    return QRectF(place.box.topLeft() * k + page_box(place.page).topLeft(), place.box.size() * k).adjusted(-4, -3, 4, 3);
}

void PageStrip::paintEvent(QPaintEvent*) {
    QPainter p(this);
    if (static_cast<int>(pages_.size()) != count_) {
        pages_.clear();
        for (int i = 0; i < count_; ++i) pages_.push_back(page_image(content_, i, wide_ / page_w, devicePixelRatioF()));
    }
    for (int i = 0; i < count_; ++i) p.drawImage(page_box(i).topLeft(), pages_[static_cast<std::size_t>(i)]);
    const Palette light = Palette::light(); // the page is white in both themes
    p.setRenderHint(QPainter::Antialiasing);
    if (chosen_ >= 0) {
        p.setPen(QPen(light.accent, hasFocus() ? 3 : 2));
        p.setBrush(Qt::NoBrush);
        p.drawRoundedRect(box_of(chosen_).adjusted(1, 1, -1, -1), 4, 4);
    } else if (hasFocus()) {
        p.setPen(QPen(light.accent, 3));
        p.drawRect(QRectF(rect()).adjusted(1.5, 1.5, -1.5, -1.5));
    }
}

void PageStrip::mousePressEvent(QMouseEvent* e) {
    for (int i = 0; i < static_cast<int>(places_.size()); ++i)
        if (box_of(i).contains(e->position())) emit chose(i);
}

void PageStrip::keyPressEvent(QKeyEvent* e) {
    const int last = static_cast<int>(places_.size()) - 1;
    if (e->key() == Qt::Key_Down && chosen_ < last)
        emit chose(chosen_ + 1);
    else if (e->key() == Qt::Key_Up && chosen_ > 0)
        emit chose(chosen_ - 1);
    else if (e->key() == Qt::Key_Return || e->key() == Qt::Key_Enter || e->key() == Qt::Key_Space)
        emit opened();
    else
        QWidget::keyPressEvent(e);
}

QList<SpokenPart> PageStrip::spoken() const {
    QList<SpokenPart> out;
    for (int i = 0; i < count_; ++i) {
        QStringList stand;
        for (std::size_t k = 0; k < places_.size(); ++k)
            if (places_[k].page == i) stand << content_.items[static_cast<int>(k)].cue;
        out << SpokenPart{tr("Page %1 of %2").arg(i + 1).arg(count_), stand.isEmpty() ? tr("no correction") : stand.join(QLatin1Char(' ')),
                          page_box(i).toRect()};
    }
    return out;
}

CorrectionSheet::CorrectionSheet(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setAccessibleName(tr("The chosen correction"));
    QSizePolicy policy(QSizePolicy::Preferred, QSizePolicy::Preferred);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
}

void CorrectionSheet::show_item(const LetterContent& content, int item, const QString& instead) {
    content_ = content;
    item_ = item;
    instead_ = instead;
    updateGeometry();
    announce(this);
    update();
}

/// Type is larger here than on the page, more so where there is much room.
double CorrectionSheet::column(int width) const {
    const double zoom = session_.theme.scale() * std::clamp((width - 2 * edge) / 330.0, 1.2, 1.7);
    return std::max(80.0, (width - 2 * edge) / zoom);
}

int CorrectionSheet::heightForWidth(int width) const {
    if (item_ < 0) return 120;
    QImage nothing(8, 8, QImage::Format_ARGB32);
    QPainter p(&nothing);
    const double wide = column(width), zoom = (width - 2 * edge) / wide;
    return static_cast<int>(std::ceil(paint_letter_item(p, content_, item_, wide, Theme(), false) * zoom)) + 2 * edge;
}

void CorrectionSheet::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHints(QPainter::Antialiasing | QPainter::TextAntialiasing);
    if (item_ < 0) {
        p.setPen(session_.theme.palette.faint);
        p.setFont(session_.theme.font(11));
        p.drawText(rect().adjusted(edge, edge, -edge, -edge), Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap, instead_);
        return;
    }
    p.fillRect(rect(), Qt::white);
    p.translate(edge, edge);
    const double wide = column(width()), zoom = (width() - 2 * edge) / wide;
    p.scale(zoom, zoom);
    paint_letter_item(p, content_, item_, wide, Theme(), true);
}

QList<SpokenPart> CorrectionSheet::spoken() const {
    if (item_ < 0) return {{accessibleName(), instead_, rect()}};
    return {{tr("Correction %1").arg(item_ + 1), words_of_item(content_, item_).join(QLatin1Char(' ')), rect()}};
}

LetterView::LetterView(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    words_ = new QLabel;
    words_->setObjectName(QStringLiteral("previewWords"));
    words_->setTextFormat(Qt::PlainText);
    words_->setAlignment(Qt::AlignHCenter | Qt::AlignTop);
    words_->setMargin(12);
    words_->setWordWrap(true);
    strip_ = new PageStrip(session);
    strip_->setObjectName(QStringLiteral("pageStrip"));
    sheet_ = new CorrectionSheet(session);
    sheet_->setObjectName(QStringLiteral("correctionSheet"));
    strip_area_ = scrolled(strip_, tr("Pages"));
    strip_area_->setWidgetResizable(false);
    strip_area_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    strip_area_->setFocusPolicy(Qt::NoFocus); // the strip itself has it
    sheet_area_ = scrolled(sheet_, tr("The chosen correction, large"));
    pages_ = new QLabel;
    pages_->setObjectName(QStringLiteral("preview"));
    pages_->setAlignment(Qt::AlignHCenter | Qt::AlignTop);
    pages_->setMargin(12);
    auto* reading = scrolled(pages_, tr("Page preview"));
    reading->setFrameShape(QFrame::StyledPanel);

    both_ = new QWidget; // laid by hand: how wide the pages are follows from how many there are
    for (auto* area : {strip_area_, sheet_area_}) area->setParent(both_);
    both_->installEventFilter(this);
    auto* stacked = new QWidget;
    stack_ = new QStackedLayout(stacked);
    stack_->addWidget(words_);
    stack_->addWidget(both_);
    stack_->addWidget(reading);
    larger_ = new QPushButton(tr("Read the pages"));
    larger_->setCheckable(true);
    larger_->setObjectName(QStringLiteral("readPages"));
    larger_->setToolTip(tr("The pages at the size they are read, one under the other; again: all of them in one look"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(stacked, 1);
    column->addWidget(larger_, 0, Qt::AlignLeft);
    connect(larger_, &QPushButton::toggled, this, &LetterView::read_pages);
    connect(strip_, &PageStrip::opened, this, [this] { larger_->setChecked(true); });
    connect(strip_, &PageStrip::chose, this, [this](int item) {
        const LetterItem& it = content_.items[item];
        choose(it.clip, it.key);
        emit chose(it.clip, it.key);
    });
    say({});
}

void LetterView::say(const QString& words) {
    shows_ = false;
    content_ = {};
    pages_->setPixmap({}); // nothing of another letter stays
    strip_->show_letter({});
    sheet_->show_item({}, -1, {});
    words_->setText(words);
    stack_->setCurrentIndex(0);
    larger_->setEnabled(false);
}

void LetterView::show_letter(const LetterContent& content) {
    shows_ = true;
    content_ = content;
    larger_->setEnabled(true);
    strip_->show_letter(content);
    stack_->setCurrentIndex(reads_pages() ? 2 : 1);
    lay();
    show_chosen();
    paint_pages();
    emit shown();
}

void LetterView::choose(qint64 clip, const QString& key) {
    clip_ = clip;
    key_ = key;
    show_chosen();
}

void LetterView::show_chosen() {
    chosen_ = -1;
    for (int i = 0; i < content_.items.size(); ++i)
        if (content_.items[i].clip == clip_ && content_.items[i].key == key_) chosen_ = i;
    if (chosen_ < 0 && key_.isEmpty() && !content_.items.isEmpty()) chosen_ = 0;
    strip_->choose(chosen_);
    sheet_->show_item(content_, chosen_,
                      content_.items.isEmpty() ? tr("No correction is chosen. The letter says what went well.")
                                               : tr("The correction under the cursor is not in the letter: tick it, and it stands here."));
    if (chosen_ < 0) return;
    const QPoint at = strip_->box_of(chosen_).center().toPoint();
    strip_area_->ensureVisible(at.x(), at.y());
}

bool LetterView::reads_pages() const {
    return larger_->isChecked();
}

void LetterView::read_pages(bool on) {
    const QSignalBlocker quiet(larger_);
    larger_->setChecked(on);
    larger_->setText(on ? tr("All pages in one look") : tr("Read the pages"));
    if (shows_) stack_->setCurrentIndex(on ? 2 : 1);
    paint_pages();
}

/// The pages one under the other, at the size they are read.
void LetterView::paint_pages() {
    if (!shows_ || !reads_pages()) return;
    constexpr double zoom = 1.08;
    const double ratio = devicePixelRatioF();
    const int count = letter_pages(content_);
    QImage im(static_cast<int>(page_w * zoom * ratio), static_cast<int>((page_h * count + 12 * (count - 1)) * zoom * ratio),
              QImage::Format_RGB32);
    im.fill(session_.theme.palette.paper);
    im.setDevicePixelRatio(ratio);
    QPainter p(&im);
    for (int i = 0; i < count; ++i) p.drawImage(QPointF(0, i * (page_h + 12) * zoom), page_image(content_, i, zoom, ratio));
    p.end();
    pages_->setPixmap(QPixmap::fromImage(im));
}

void LetterView::lay() {
    if (!shows_) return;
    constexpr int gap = 14, bar = 18;
    const QSize room = both_->size();
    strip_->fit({static_cast<int>(0.42 * room.width()), room.height()});
    const int wide = strip_->width() + (strip_->height() > room.height() ? bar : 0);
    const QRect pages(0, 0, wide, room.height()), beside(wide + gap, 0, std::max(0, room.width() - wide - gap), room.height());
    strip_area_->setGeometry(QStyle::visualRect(layoutDirection(), both_->rect(), pages));
    sheet_area_->setGeometry(QStyle::visualRect(layoutDirection(), both_->rect(), beside));
}

bool LetterView::eventFilter(QObject* of, QEvent* e) {
    if (of == both_ && (e->type() == QEvent::Resize || e->type() == QEvent::Show)) lay();
    return QWidget::eventFilter(of, e);
}

} // namespace bevel::ui
