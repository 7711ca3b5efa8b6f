// What the places share: which clip is looked at, and word of what changed, by id.
#pragma once
#include <QObject>

namespace bevel::ui {

/// What a place is asked to show; 0: what it shows anyway.
struct Ref {
    qint64 clip = 0;
    bool learn = false; // Forms: a movement is to be learned from it
    qint64 person = 0;  // People, Practice
    qint64 beside = 0;  // Review: an earlier clip at the same moment
    QString practise{}; // Practice: a movement or, "form:ID", a form that is to be practised
    bool whole = false; // Forms, with learn: a form of several movements
};

class Workspace : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;
    void go(const QString& place, Ref ref = {}) { emit wanted(place, ref); }
    /// The settings, with the field of that name in hand.
    void settle(const QString& field) { emit settings_wanted(field); }
    qint64 clip() const { return clip_; }
    void set_clip(qint64 clip) {
        if (std::exchange(clip_, clip) != clip) emit clip_chosen(clip);
    }
    /// Something of a clip was written: its facts, its state, a decision. 0: clips came or went.
    void touched(qint64 clip) { emit changed(clip); }
    /// A movement or a school is another now: what is open is judged by it.
    void rules_changed() { emit judged_anew(); }
    /// What a clip is measured by was changed: its figures are others now.
    void remeasured(qint64 clip) { emit measured_anew(clip); }
    /// What the clips of a person are held against: theirs are others now.
    void remeasured_person(qint64 person) { emit person_anew(person); }

signals:
    void settings_wanted(const QString& field);
    void wanted(const QString& place, bevel::ui::Ref ref);
    void clip_chosen(qint64 clip);
    void changed(qint64 clip);
    void measured_anew(qint64 clip);
    void judged_anew();
    void person_anew(qint64 person);

private:
    qint64 clip_ = 0;
};

} // namespace bevel::ui
