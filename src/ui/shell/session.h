// What every place needs, made once by main and handed down.
#pragma once
#include "core/form/pieces.h"
#include "core/practice/plan.h"
#include "desk/intake.h"
#include "store/library.h"
#include "ui/jobs/background.h"
#include "ui/paint/theme.h"
#include "ui/shell/settings.h"
#include "ui/shell/versions.h"
#include "ui/text/text.h"
#include <set>

namespace bevel::ui {

class Evening;
class FindingQueue;
class Inbox;
class Jobs;
class Workspace;

struct Session {
    std::shared_ptr<Library> library; // used on the background thread only
    std::vector<Movement> shipped;    // movements as they came with the program
    Versions<Movement> movements;     // with the instructor's own
    std::vector<School> shipped_schools;
    Versions<School> schools; // with the instructor's own
    std::vector<LinkedForm> shipped_linked;
    Versions<LinkedForm> linked;                         // with the instructor's own
    Versions<Movement> faces;                            // of these
    Versions<Movement> practised;                        // movements, with the pieces of forms that were asked for in practice
    std::set<std::pair<std::string, bool>> practised_of; // of which forms, by id; whether with left and right changed over
    Catalogue catalogue;
    Theme theme;
    Settings settings;
    std::filesystem::path model_dir;
    Background* background = nullptr; // library: reads and short writes
    Background* copies = nullptr;     // what takes long with files: copying clips in, backups
    Background* finder = nullptr;     // finding bodies
    // Made by the window, for its places.
    Workspace* workspace = nullptr;
    Jobs* jobs = nullptr;
    FindingQueue* finding = nullptr;
    Inbox* inbox = nullptr;
    Evening* evening = nullptr;

    /// The lane for what takes long with files.
    Background& files() const { return copies ? *copies : *background; }

    /// As they will stand when it is asked, for work that takes long: the lists live as long as this.
    std::function<Forms()> forms_now() const {
        return [this] { return forms(); };
    }
    /// As they stand now, for work that goes on elsewhere.
    Forms forms() const { return {movements.now(), schools.now(), linked.now(), faces.now()}; }
    /// Linked forms as they are from now on; again when the movements change.
    void set_linked(std::vector<LinkedForm> all) {
        faces = Forms::faces_of(all, *movements.now());
        linked = std::move(all);
        cut_pieces();
    }
    /// What plans are made of and led by: movements, and pieces of the forms that were asked for.
    std::shared_ptr<const std::vector<Movement>> practice_movements() const {
        return practised_of.empty() ? movements.now() : practised.now();
    }
    /// From now on the pieces of a form are there too, for practice.
    void practise(const std::string& form, bool mirrored) {
        if (practised_of.emplace(form, mirrored).second) cut_pieces();
    }
    /// Those that a plan is of.
    void practise(const Plan& plan) {
        for (const auto& i : plan.items)
            if (const auto piece = PieceId::read(i.movement)) practise(piece->form, piece->mirrored);
    }
    void cut_pieces() {
        if (practised_of.empty()) return;
        std::vector<Movement> all = *movements.now();
        for (const auto& [id, mirrored] : practised_of)
            if (const auto form = forms().form(std::string(form_prefix) + id))
                if (auto pieces = pieces_of(*form, *movements.now(), mirrored))
                    all.insert(all.end(), std::make_move_iterator(pieces->begin()), std::make_move_iterator(pieces->end()));
        practised = std::move(all);
    }
    /// Null for one that is not known. Whoever holds it may keep it, whatever is edited meanwhile.
    std::shared_ptr<const Movement> movement(const std::string& id) const { return forms().movement(id); }
    /// As somebody practises it: in the graded version that they are taught.
    std::shared_ptr<const Movement> movement(const std::string& id, const std::string& version) const {
        return forms().movement(id, version);
    }
    std::shared_ptr<const School> school(const std::string& id) const { return forms().school(id); }
};

} // namespace bevel::ui
