// Places where a camera stands again, a steadied picture, and the clip measured anew.
#include "core/ground/derive.h"
#include "core/review/look.h"
#include "desk/ground.h"
#include "ui/ground/ground_page.h"
#include "ui/ground/point_strip.h"
#include "ui/ground/points_panel.h"
#include "ui/ground/room_panel.h"
#include "ui/jobs/jobs.h"
#include "ui/paint/body.h"
#include "ui/shell/empty_state.h"
#include "ui/shell/step.h"
#include <cmath>
#include <QInputDialog>

namespace bevel::ui {

void GroundPage::steady() {
    if (track_.frames() == 0) return;
    const auto job_stop = std::make_shared<std::stop_source>();
    const int job =
        session_.jobs->begin(JobKind::keeping, tr("Holding the picture against the room …"), [job_stop] { job_stop->request_stop(); });
    using Made = Result<Steadied>;
    session_.files().run<Made>(
        this,
        [path = session_.library->clips().path_of(clip_), track = track_, job_stop](const std::stop_token& quit) {
            const std::stop_callback forward(quit, [&] { job_stop->request_stop(); });
            return steady_clip(path, track, job_stop->get_token());
        },
        [this, job, clip = clip_.id](Made made) {
            session_.jobs->end(job, made                                   ? JobOutcome::done
                                    : made.error().code == Code::cancelled ? JobOutcome::cancelled
                                                                           : JobOutcome::failed);
            if (clip != clip_.id || (!made && made.error().code == Code::cancelled)) return;
            if (!made) return notice_->problem(text::reason(QString::fromStdString(made.error().context)));
            notice_->say(tr("The picture moved by up to %1 px; ± %2 px are left.")
                             .arg(QLocale().toString(made->most_px, 'f', 0), QLocale().toString(made->residual_px, 'f', 1)));
            auto m = marks_;
            m.layers.steady = std::move(made->frames);
            change(tr("the shake"), std::move(m));
        });
}

void GroundPage::find_places() {
    struct Known {
        std::vector<CameraPlace> places;
        std::string look;
    };
    session_.background->run<Known>(
        this,
        [lib = session_.library, id = clip_.id, film = film_, body = track_.px](std::stop_token) {
            Known k;
            if (auto all = lib->places().all()) k.places = std::move(*all);
            if (const auto looks = lib->places().looks())
                for (const auto& l : *looks)
                    if (l.clip == id) k.look = l.look;
            if (k.look.empty()) // taken in before it was kept
                for (std::size_t i = 0; i < body.size(); ++i) {
                    if (!body[i]) continue;
                    if (!film->reader)
                        if (auto opened = ClipReader::open(film->path)) film->reader = std::move(*opened);
                    if (film->reader)
                        if (const auto im = film->reader->frame(i)) k.look = look_of(**im, body[i]);
                    break;
                }
            return k;
        },
        [this, clip = clip_.id](Known k) {
            if (clip != clip_.id) return;
            places_ = std::move(k.places);
            look_ = std::move(k.look);
            std::int64_t likely = 0;
            double most = same_place;
            for (const auto& p : places_)
                if (const double r = same_room(p.look, look_); p.width == track_.width && p.height == track_.height && r > most)
                    most = r, likely = p.id;
            room_->show_places(places_, likely);
        });
}

void GroundPage::ask_place() {
    bool ok = false;
    const QString name =
        QInputDialog::getText(this, tr("Camera place"), tr("What is this place called?"), QLineEdit::Normal, {}, &ok).trimmed();
    if (ok && !name.isEmpty()) keep_place(name);
}

void GroundPage::keep_place(const QString& name) {
    CameraPlace p;
    p.name = name.toStdString();
    p.width = track_.width;
    p.height = track_.height;
    // What belongs to the camera, nothing of this clip.
    p.marks.vertical = marks_.layers.vertical;
    p.marks.scale = marks_.layers.scale;
    p.marks.camera_height_m = marks_.layers.camera_height_m;
    p.marks.plan = marks_.layers.plan;
    p.marks.lens = marks_.layers.lens;
    p.look = look_;
    session_.background->run<Result<std::int64_t>>(
        this, [lib = session_.library, p](std::stop_token) { return lib->places().keep(p); },
        [this, name](const Result<std::int64_t>& id) {
            if (!id) return notice_->problem(text::error(id.error()));
            notice_->say(tr("Kept: “%1” is offered for the next clip from there.").arg(name));
            find_places();
        });
}

void GroundPage::take_place(qint64 id) {
    for (const auto& p : places_) {
        if (p.id != id) continue;
        if (p.width != track_.width || p.height != track_.height)
            return notice_->problem(tr("The pictures of that place have another size (%1 × %2).").arg(p.width).arg(p.height));
        auto m = marks_;
        m.layers.vertical = p.marks.vertical;
        m.layers.scale = p.marks.scale;
        m.layers.camera_height_m = p.marks.camera_height_m;
        m.layers.plan = p.marks.plan;
        m.layers.lens = p.marks.lens;
        m.uprights.clear(), m.edges.clear(), m.mat.reset();
        change(tr("the marks of a place"), std::move(m));
    }
}

void GroundPage::measure_again() {
    const int run = ++run_;
    ReviewOptions o;
    o.view = view_from_name(clip_.view);
    o.states = marks_.states;
    if (person_.id != 0 && person_.height_said) o.stature_m = person_.stature_m;
    if (person_.shoulder_width_m > 0) o.shoulder_width_m = person_.shoulder_width_m;
    using Errors = std::pair<std::vector<double>, std::vector<double>>;
    const bool known = !sure_.empty();
    Track before;
    if (!known) before = track_, before.layers = first_;
    session_.files().run<Errors>(
        this,
        [now = track_, before = std::move(before), o, known](std::stop_token) {
            return Errors{known ? std::vector<double>() : errors_of(before, o), errors_of(now, o)};
        },
        [this, run](const Errors& e) {
            if (run != run_) return;
            if (sure_.empty())
                for (std::size_t i = 0; i < watched().size(); ++i) {
                    const auto* m = session_.catalogue.find(QLatin1String(watched()[i].id));
                    sure_.push_back(
                        {m ? m->name() : QLatin1String(watched()[i].id), m ? m->unit : QString(), e.first.empty() ? NAN : e.first[i], NAN});
                }
            for (std::size_t i = 0; i < sure_.size(); ++i) sure_[i].now = e.second[i];
            room_->sure().show_rows(sure_);
            emit measured();
        });
}

} // namespace bevel::ui
