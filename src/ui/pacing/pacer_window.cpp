#include "ui/pacing/pacer_window.h"
#include "ui/paint/card.h"
#include "ui/shell/fit_on_screen.h"
#include "ui/text/practice_words.h"
#include <cmath>
#include <QCheckBox>
#include <QCloseEvent>
#include <QDate>
#include <QGuiApplication>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QScreen>
#include <QTimer>
#include <QVBoxLayout>

namespace bevel::ui {

PacerWindow::PacerWindow(Session& session, const Plan& plan, const PacerOptions& options, bool spoken, QWidget* parent)
    : QWidget(parent, Qt::Window), session_(session), run_(std::make_unique<PacerRun>(plan, *session.practice_movements(), options)),
      spoken_(spoken), theme_(true, session.theme.scale()) {
    setObjectName(QStringLiteral("pacer"));
    setWindowTitle(tr("Practice"));
    setAttribute(Qt::WA_DeleteOnClose);
    setFocusPolicy(Qt::StrongFocus);
    resize(1280, 800);
    setMinimumSize(800, 560);
    build();
    connect(run_.get(), &PacerRun::moved, this, &PacerWindow::show_now);
    connect(run_.get(), &PacerRun::laid_out, this, &PacerWindow::speak);
    connect(run_.get(), &PacerRun::ended, this, &PacerWindow::end);
    connect(&source_, &FigureSource::ready, this, [this](const std::shared_ptr<FigureShot>& shot) {
        if (shot->wish.scene != scene_) return;
        figure_ = mirror_->isChecked() ? shot->right.mirrored(true, false) : shot->right;
        put_figures();
    });
    connect(&source_behind_, &FigureSource::ready, this, [this](const std::shared_ptr<FigureShot>& shot) {
        if (shot->wish.scene != scene_) return;
        figure_behind_ = shot->right;
        put_figures();
    });
    speak();
    show_now();
}

void PacerWindow::build() {
    setStyleSheet(theme_.style_sheet());
    bar_ = new QWidget(this);
    bar_->setObjectName(QStringLiteral("pacerBar"));
    auto* row = new QHBoxLayout(bar_);
    row->setContentsMargins(10, 6, 10, 6);
    auto button = [&](const char* name, const QString& label, const QString& tip, auto go) {
        auto* b = new QPushButton(label);
        b->setObjectName(QLatin1String(name));
        b->setToolTip(tip);
        b->setFocusPolicy(Qt::TabFocus);
        connect(b, &QPushButton::clicked, this, go);
        row->addWidget(b);
        return b;
    };
    // Big, first, and red: whoever feels dizzy finds it.
    auto* stop = button("pacerStop", tr("STOP"), tr("Ends the run at once (Esc)"), [this] { run_->stop(); });
    stop->setStyleSheet(QStringLiteral("QPushButton{background:#b3242c;color:white;font-weight:700;padding:8px 22px;border-radius:6px}"));
    pause_ = button("pacerPause", tr("Pause"), tr("Space, or the foot switch"), [this] { run_->tap(); });
    button("pacerBack", tr("Back"), tr("Page up: to the beginning of this, then the one before"), [this] { run_->back(); });
    button("pacerSkip", tr("Skip"), tr("Page down"), [this] { run_->skip(); });
    button("pacerLonger", tr("Longer"), tr("Plus: one more on each side, one more hold"), [this] { run_->longer(); });
    button("pacerOther", tr("Once more on the other side"), tr("O"), [this] { run_->other_side(); });
    late_ = button("pacerLate", QString(), tr("Leaves out what is least needed"), [this] { run_->drop(droppable_); });
    late_->hide();
    row->addStretch(1);
    auto check = [&](const char* name, const QString& label, bool on) {
        auto* c = new QCheckBox(label);
        c->setObjectName(QLatin1String(name));
        c->setChecked(on);
        c->setFocusPolicy(Qt::TabFocus);
        connect(c, &QCheckBox::toggled, this, [this] {
            ++scene_;
            shown_movement_.clear();
            picture_.figure = figure_ = figure_behind_ = QImage();
            show_now();
        });
        row->addWidget(c);
        return c;
    };
    mirror_ = check("pacerMirror", tr("As in a mirror"), true);
    mirror_->setToolTip(tr("The figure faces you and moves as your mirror image"));
    behind_ = check("pacerBehind", tr("From behind"), false);
    behind_->setToolTip(tr("With “As in a mirror” too, both stand side by side"));
    hide_ = check("pacerHide", tr("From memory"), false);
    hide_->setToolTip(tr("The figure is hidden: for recalling"));
    facing_ = check("pacerFacing", tr("Face to face"), false);
    facing_->setToolTip(
        tr("Whoever leads faces the group and moves as its mirror image: their own side is shown too. What is called is the "
           "side of the group."));
    facing_->hide();
    clock_words_ = new QLabel;
    clock_words_->setObjectName(QStringLiteral("faint"));
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->addStretch(1);
    all->addWidget(bar_);
    auto* last = new QHBoxLayout;
    last->setContentsMargins(12, 0, 12, 6);
    last->addWidget(clock_words_);
    last->addStretch(1);
    all->addLayout(last);
}

/// As in a mirror and from behind, side by side: those who follow the one and those who follow the other see their own.
bool PacerWindow::both() const {
    return mirror_->isChecked() && behind_->isChecked();
}

void PacerWindow::put_figures() {
    picture_.figure = hide_->isChecked() ? QImage() : figure_;
    if (!hide_->isChecked() && both() && !figure_.isNull() && figure_behind_.size() == figure_.size()) {
        QImage pair(2 * figure_.width(), figure_.height(), figure_.format());
        QPainter p(&pair);
        p.drawImage(0, 0, figure_);
        p.drawImage(figure_.width(), 0, figure_behind_);
        p.setPen(theme_.palette.line);
        p.drawLine(figure_.width(), 0, figure_.width(), figure_.height());
        p.setFont(theme_.font(11));
        p.setPen(Qt::darkGray);
        const QRect foot(0, figure_.height() - 26, figure_.width(), 22);
        p.drawText(foot, Qt::AlignCenter, tr("as in a mirror"));
        p.drawText(foot.translated(figure_.width(), 0), Qt::AlignCenter, tr("from behind"));
        picture_.figure = pair;
    }
    update(picture_rect());
}

QRect PacerWindow::picture_rect() const {
    return {0, 0, width(), bar_->y()};
}

/// Words are made ahead, on the lane for long work; until they are there the tones sound alone.
void PacerWindow::speak() {
    if (!spoken_) return;
    session_.files().run<Result<SpokenWords>>(
        this,
        [t = run_->pacer().timeline(), movements = session_.practice_movements(), language = spoken_language().toStdString(),
         own = session_.library->folder() / "spoken"](const std::stop_token& stop) {
            return spoken_of(t, *movements, language, own, stop);
        },
        [this](const Result<SpokenWords>& words) {
            if (words)
                run_->set_spoken(*words);
            else
                clock_words_->setText(tr("No voice is there: tones and captions alone."));
        });
}

void PacerWindow::lead_class() {
    facing_->show();
}

void PacerWindow::show_large() {
    const auto screens = QGuiApplication::screens();
    if (screens.size() > 1) setGeometry(screens[1]->geometry());
    showFullScreen();
}

void PacerWindow::show_now() {
    const Pacer& p = run_->pacer();
    const QImage before = picture_.figure;
    picture_ = practice_picture(p.timeline(), p.plan(), *session_.practice_movements(), p.at_s(), facing_->isChecked());
    picture_.running = p.running();
    picture_.waits = p.waits();
    picture_.figure = before;
    pause_->setText(p.waits() ? tr("Go on") : p.running() ? tr("Pause") : tr("Go"));
    ask_figure();
    look_behind_time();
    clock_words_->setText(run_->sounds() ? tr("Space pauses · Esc stops")
                                         : tr("Space pauses · Esc stops · no sound device: the system's clock leads"));
    update(picture_rect());
}

void PacerWindow::ask_figure() {
    const Pacer& p = run_->pacer();
    if (p.timeline().stretches.empty()) return;
    const Moment m = p.now();
    const Stretch& s = p.timeline().stretches[m.stretch];
    const auto movements = session_.practice_movements(); // held while one of them is looked at
    const Movement* mv = movement_of(p.plan().items[s.item], *movements, s.movement);
    if (hide_->isChecked() || p.plan().items[s.item].recall || !mv || s.kind == Stretch::Kind::settle) {
        picture_.figure = QImage();
        return;
    }
    auto& figure = figures_[drawn_id(*mv)];
    if (!figure) figure = figure_of(*mv, std::nullopt);
    if (std::exchange(shown_movement_, drawn_id(*mv)) != drawn_id(*mv)) ++scene_, picture_.figure = figure_ = figure_behind_ = QImage();
    FigureWish w;
    w.right = figure;
    w.time_s = figure->time_of(score_time(*figure, m.movement_s, s.side));
    w.azimuth_deg = behind_->isChecked() && !both() ? 180 : 0;
    w.width = static_cast<int>((both() ? 0.24 : 0.42) * width());
    w.height = static_cast<int>(0.62 * height());
    w.follow = mv->course != nullptr;
    w.scene = scene_;
    source_.wish(w);
    if (!both()) return;
    w.azimuth_deg = 180;
    source_behind_.wish(w);
}

/// "Four minutes behind: drop these".
void PacerWindow::look_behind_time() {
    const Pacer& p = run_->pacer();
    const double behind = p.behind_s(run_->elapsed_s());
    droppable_ = behind > 60 ? p.could_drop(run_->elapsed_s()) : std::vector<std::size_t>{};
    late_->setVisible(!droppable_.empty());
    if (droppable_.empty()) return;
    QStringList names;
    for (const auto n : droppable_) names << text::item_title(p.plan().items[n], *session_.practice_movements());
    late_->setText(
        tr("%n minute(s) behind: drop %1", nullptr, static_cast<int>(std::lround(behind / 60)))
            .arg(names.size() > 2 ? tr("%n exercise(s)", nullptr, static_cast<int>(names.size())) : names.join(QStringLiteral(", "))));
    late_->setToolTip(names.join(QLatin1Char('\n')));
}

void PacerWindow::end() {
    if (std::exchange(told_, true)) return;
    const Pacer& p = run_->pacer();
    PracticeLog log;
    log.day = QDate::currentDate().toString(Qt::ISODate).toStdString();
    log.title = p.plan().title;
    log.minutes = p.done_s() / 60;
    log.plan = plan_text(p.plan());
    for (const auto& d : p.done()) {
        const auto m = session_.movement(d.movement);
        log.done.push_back({d.movement, m ? m->kind : "", d.left, d.right, d.seconds});
    }
    emit over(log);
}

void PacerWindow::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme_.palette.paper);
    paint_practice(p, picture_rect(), picture_, theme_);
}

void PacerWindow::keyPressEvent(QKeyEvent* e) {
    switch (e->key()) {
    case Qt::Key_Escape:
    case Qt::Key_Period: // what many remotes send to blank the screen
        return run_->stop();
    case Qt::Key_Space:
    case Qt::Key_Return:
    case Qt::Key_Enter:
    case Qt::Key_B:
        return run_->tap();
    case Qt::Key_PageDown:
    case Qt::Key_Right:
        return run_->skip();
    case Qt::Key_PageUp:
    case Qt::Key_Left:
        return run_->back();
    case Qt::Key_Plus:
    case Qt::Key_Equal:
        return run_->longer();
    case Qt::Key_O:
        return run_->other_side();
    case Qt::Key_F:
    case Qt::Key_F11:
        return isFullScreen() ? showNormal() : show_large();
    default:
        QWidget::keyPressEvent(e);
    }
}

void PacerWindow::mousePressEvent(QMouseEvent*) {
    run_->tap();
}

void PacerWindow::showEvent(QShowEvent* e) {
    QWidget::showEvent(e);
    if (!std::exchange(fitted_, true)) QTimer::singleShot(0, this, [this] { fit_on_screen(this); });
}

void PacerWindow::closeEvent(QCloseEvent* e) {
    run_->stop();
    QWidget::closeEvent(e);
}

} // namespace bevel::ui
