#include "ui/arrivals/meant_dialog.h"
#include "media/clip.h"
#include "ui/paint/body.h"
#include <cmath>
#include <QDialogButtonBox>
#include <QKeyEvent>
#include <QLabel>
#include <QMouseEvent>
#include <QPainter>
#include <QPushButton>
#include <QSlider>
#include <QVBoxLayout>

namespace bevel::ui {

PeopleView::PeopleView(const Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("people"));
    setAccessibleName(tr("People in the picture"));
    setMinimumSize(480, 300);
}

void PeopleView::show_people(const QImage& picture, const std::vector<Region>& people) {
    picture_ = picture;
    people_ = people;
    update();
}

QRectF PeopleView::shown() const {
    if (picture_.isNull()) return {};
    const QSizeF s = QSizeF(picture_.size()).scaled(size(), Qt::KeepAspectRatio);
    return {QPointF(width() - s.width(), height() - s.height()) / 2, s};
}

QPointF PeopleView::to_view(QPointF px) const {
    const QRectF r = shown();
    return {r.left() + px.x() * r.width() / std::max(1, picture_.width()), r.top() + px.y() * r.height() / std::max(1, picture_.height())};
}

void PeopleView::mousePressEvent(QMouseEvent* e) {
    // The nearest one in whose box the click lies: people stand before each other.
    int best = -1;
    double near = 1e9;
    for (std::size_t i = 0; i < people_.size(); ++i) {
        const auto& p = people_[i];
        const QPointF middle = to_view({p.cx, p.cy});
        const double half = to_view({p.cx + p.side / 2, p.cy}).x() - middle.x();
        const double dx = std::abs(e->position().x() - middle.x()), dy = std::abs(e->position().y() - middle.y());
        if (dx > 0.5 * half || dy > half) continue;
        if (dx < near) near = dx, best = static_cast<int>(i);
    }
    if (best >= 0) emit chosen(best);
}

void PeopleView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHints(QPainter::Antialiasing | QPainter::SmoothPixmapTransform);
    const Palette& c = session_.theme.palette;
    p.fillRect(rect(), c.sheet);
    if (picture_.isNull()) {
        p.setPen(c.faint);
        p.drawText(rect(), Qt::AlignCenter, tr("Looking for people …"));
        return;
    }
    p.drawImage(shown(), picture_);
    p.setFont(session_.theme.font(13, QFont::DemiBold));
    for (std::size_t i = 0; i < people_.size(); ++i) {
        const auto& q = people_[i];
        const QPointF a = to_view({q.cx - 0.25 * q.side, q.cy - 0.5 * q.side}), b = to_view({q.cx + 0.25 * q.side, q.cy + 0.5 * q.side});
        const QRectF box = QRectF(a, b).intersected(shown());
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(Qt::white, 5));
        p.drawRoundedRect(box, 6, 6);
        p.setPen(QPen(c.focus, 2.5));
        p.drawRoundedRect(box, 6, 6);
        const QRectF tag(box.left(), box.top(), 30, 28);
        p.fillRect(tag, c.focus);
        p.setPen(c.sheet);
        p.drawText(tag, Qt::AlignCenter, QString::number(i + 1));
    }
}

struct MeantDialog::Look {
    std::filesystem::path path, models;
    Model model = Model::lite;
    std::optional<ClipReader> reader;
    std::optional<BodyFinder> finder;
    QString problem;
    std::pair<QImage, std::vector<Region>> at(double t) {
        if (!reader) {
            auto r = ClipReader::open(path);
            if (!r) return problem = text::error(r.error()), std::pair<QImage, std::vector<Region>>{};
            reader = std::move(*r);
        }
        if (!finder) {
            auto f = BodyFinder::load(models, model);
            if (!f) return problem = text::error(f.error()), std::pair<QImage, std::vector<Region>>{};
            finder = std::move(*f);
        }
        const auto& times = reader->info().time_s;
        const auto i = std::min<std::size_t>(static_cast<std::size_t>(std::lower_bound(times.begin(), times.end(), t) - times.begin()),
                                             times.size() - 1);
        const auto im = reader->frame(i);
        if (!im) return {};
        return {to_image(**im), finder->people(**im)};
    }
};

MeantDialog::MeantDialog(Session& session, const Clip& clip, QWidget* parent) : QDialog(parent), session_(session), clip_(clip) {
    setObjectName(QStringLiteral("meantDialog"));
    setWindowTitle(tr("Which one is the student?"));
    view_ = new PeopleView(session_);
    words_ = new QLabel(tr("Looking for people …"));
    words_->setWordWrap(true);
    slider_ = new QSlider(Qt::Horizontal);
    slider_->setAccessibleName(tr("Where in the beginning of the clip"));
    slider_->setRange(0, 50); // tenths of a second
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Cancel);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    auto* box = new QVBoxLayout(this);
    box->addWidget(view_, 1);
    box->addWidget(slider_);
    box->addWidget(words_);
    box->addWidget(buttons);
    resize(session_.theme.wide(760), session_.theme.wide(560));
    look_ = std::make_shared<Look>();
    look_->path = session_.library->clips().path_of(clip);
    look_->models = session_.model_dir;
    connect(view_, &PeopleView::chosen, this, &MeantDialog::choose);
    connect(slider_, &QSlider::valueChanged, this, [this](int v) { show_at(0.1 * v); });
    show_at(0);
}

void MeantDialog::show_at(double t) {
    const int run = ++run_;
    time_s_ = t;
    session_.files().run<std::pair<QImage, std::vector<Region>>>(
        this, [look = look_, t](std::stop_token) { return look->at(t); },
        [this, run](const std::pair<QImage, std::vector<Region>>& seen) {
            if (run != run_) return;
            view_->show_people(seen.first, seen.second);
            if (!look_->problem.isEmpty())
                words_->setText(look_->problem);
            else if (seen.second.empty())
                words_->setText(tr("Nobody is found on this frame. Move along the clip."));
            else
                words_->setText(
                    tr("Click the student, or press the number. The body is looked for again; the others are only kept apart."));
            emit looked();
        });
}

void MeantDialog::choose(int person) {
    if (person < 0 || person >= static_cast<int>(view_->people().size())) return;
    const auto& p = view_->people()[static_cast<std::size_t>(person)];
    emit meant({time_s_, p.cx, p.cy});
    accept();
}

void MeantDialog::keyPressEvent(QKeyEvent* e) {
    if (e->key() >= Qt::Key_1 && e->key() <= Qt::Key_9) return choose(e->key() - Qt::Key_1);
    QDialog::keyPressEvent(e);
}

} // namespace bevel::ui
