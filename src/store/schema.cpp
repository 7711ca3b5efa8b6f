#include "store/schema.h"

namespace bevel {

const std::array<const char*, newest_schema> schema_steps{
    // 1: people, clips, tracks, decisions, letters
    "CREATE TABLE person(id INTEGER PRIMARY KEY, name TEXT NOT NULL, stature_m REAL NOT NULL CHECK(stature_m BETWEEN 0.8 AND 2.5), notes "
    "TEXT NOT NULL DEFAULT '');"
    "CREATE TABLE clip(id INTEGER PRIMARY KEY, person INTEGER NOT NULL REFERENCES person(id), file TEXT NOT NULL, movement TEXT NOT NULL,"
    " school TEXT NOT NULL DEFAULT '', view TEXT NOT NULL DEFAULT '', filmed_on TEXT NOT NULL DEFAULT '', arrived_on TEXT NOT NULL DEFAULT "
    "'',"
    " state INTEGER NOT NULL DEFAULT 0, problem TEXT NOT NULL DEFAULT '');"
    "CREATE TABLE track(clip INTEGER PRIMARY KEY REFERENCES clip(id), points BLOB NOT NULL);"
    "CREATE TABLE decision(clip INTEGER NOT NULL REFERENCES clip(id), check_id TEXT NOT NULL, side TEXT NOT NULL, choice INTEGER NOT NULL,"
    " wording TEXT NOT NULL DEFAULT '', PRIMARY KEY(clip, check_id, side));"
    "CREATE TABLE letter(id INTEGER PRIMARY KEY, clip INTEGER NOT NULL UNIQUE REFERENCES clip(id), body TEXT NOT NULL, sent_on TEXT NOT "
    "NULL DEFAULT '');"
    "CREATE INDEX clip_person ON clip(person);",
    // 2: a note on each decision
    "ALTER TABLE decision ADD COLUMN note TEXT NOT NULL DEFAULT '';",
    // 3: settings
    "CREATE TABLE setting(key TEXT PRIMARY KEY, value TEXT NOT NULL);",
    // 4: a person's own shoulder width, for clips from the side
    "ALTER TABLE person ADD COLUMN shoulder_width_m REAL NOT NULL DEFAULT 0;",
    // 5: how well a clip could be read
    "CREATE TABLE quality(clip INTEGER PRIMARY KEY REFERENCES clip(id), found REAL NOT NULL, frames_per_s REAL NOT NULL, vertical_seen "
    "INTEGER NOT NULL, neutral_seen INTEGER NOT NULL);",
    // 6: mirrored clips; tracks are turned into format 2 with it
    "ALTER TABLE clip ADD COLUMN mirrored INTEGER NOT NULL DEFAULT 0;",
    // 7: bands agreed with a person or set for a clip
    "CREATE TABLE agreement(id INTEGER PRIMARY KEY, person INTEGER REFERENCES person(id), clip INTEGER REFERENCES clip(id), check_id TEXT "
    "NOT NULL, low REAL, high REAL, off INTEGER NOT NULL DEFAULT 0, reason TEXT NOT NULL, from_day TEXT NOT NULL DEFAULT '', until_day "
    "TEXT NOT NULL DEFAULT '', CHECK((person IS NULL) <> (clip IS NULL)));"
    "CREATE INDEX agreement_person ON agreement(person);",
    // 8: heights with their dates, hashes of clips, letters as they were sent (never changed), bodies half found, files on the way in or
    // out, backups that were made
    "CREATE TABLE height(person INTEGER NOT NULL REFERENCES person(id), day TEXT NOT NULL, stature_m REAL NOT NULL, PRIMARY KEY(person, "
    "day));"
    "INSERT INTO height SELECT id, '', stature_m FROM person;"
    "ALTER TABLE clip ADD COLUMN hash TEXT NOT NULL DEFAULT '';"
    "CREATE TABLE sent(id INTEGER PRIMARY KEY, person INTEGER NOT NULL REFERENCES person(id), clip INTEGER REFERENCES clip(id), sent_at "
    "TEXT NOT NULL, kind TEXT NOT NULL, name TEXT NOT NULL, hidden INTEGER NOT NULL, body TEXT NOT NULL, file BLOB NOT NULL);"
    "CREATE TRIGGER sent_stays BEFORE UPDATE OF person, sent_at, kind, name, hidden, body, file ON sent BEGIN SELECT RAISE(ABORT, 'what "
    "was sent is not changed'); END;"
    "CREATE TABLE unfinished(clip INTEGER PRIMARY KEY REFERENCES clip(id), done INTEGER NOT NULL, points BLOB NOT NULL);"
    "CREATE TABLE leftover(file TEXT PRIMARY KEY);"
    "CREATE TABLE backup(file TEXT PRIMARY KEY, made_on TEXT NOT NULL);",
    // 9: clips of which nobody has said yet whose they are, with what they tell themselves; their turn; what stands in the way of judging
    "CREATE TABLE clip_9(id INTEGER PRIMARY KEY, person INTEGER REFERENCES person(id), file TEXT NOT NULL, movement TEXT NOT NULL,"
    " school TEXT NOT NULL DEFAULT '', view TEXT NOT NULL DEFAULT '', filmed_on TEXT NOT NULL DEFAULT '', arrived_on TEXT NOT NULL DEFAULT "
    "'', state INTEGER NOT NULL DEFAULT 0, problem TEXT NOT NULL DEFAULT '', mirrored INTEGER NOT NULL DEFAULT 0, hash TEXT NOT NULL "
    "DEFAULT "
    "'', named TEXT NOT NULL DEFAULT '', guess TEXT NOT NULL DEFAULT '', turn INTEGER NOT NULL DEFAULT 0);"
    "INSERT INTO clip_9(id, person, file, movement, school, view, filmed_on, arrived_on, state, problem, mirrored, hash, turn) "
    "SELECT id, person, coalesce(file, ''), coalesce(movement, ''), coalesce(school, ''), coalesce(view, ''), coalesce(filmed_on, ''), "
    "coalesce(arrived_on, ''), coalesce(state, 0), coalesce(problem, ''), mirrored, hash, id FROM clip;"
    "DROP TABLE clip;"
    "ALTER TABLE clip_9 RENAME TO clip;"
    "CREATE INDEX clip_person ON clip(person);"
    "ALTER TABLE quality ADD COLUMN limits TEXT NOT NULL DEFAULT '';",
    // 10: pairs of clips, parts of a file, what was in hand or under foot, which of several people is meant, places where the camera
    // stands, until when a person's films are kept
    "ALTER TABLE clip ADD COLUMN pair INTEGER NOT NULL DEFAULT 0;"
    "ALTER TABLE clip ADD COLUMN part_from_s REAL;"
    "ALTER TABLE clip ADD COLUMN part_to_s REAL;"
    "ALTER TABLE clip ADD COLUMN states TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE clip ADD COLUMN footwear TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE clip ADD COLUMN surface TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE clip ADD COLUMN meant TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE clip ADD COLUMN look BLOB NOT NULL DEFAULT x'';"
    "CREATE INDEX clip_file ON clip(file);"
    "CREATE TABLE camera_place(id INTEGER PRIMARY KEY, name TEXT NOT NULL UNIQUE, width INTEGER NOT NULL, height INTEGER NOT NULL, marks "
    "TEXT NOT NULL, look BLOB NOT NULL);"
    "ALTER TABLE person ADD COLUMN keep_until TEXT NOT NULL DEFAULT '';",
    // 11: a person's own fist and foot as units; own movements
    "CREATE TABLE own_form(id TEXT PRIMARY KEY, body TEXT NOT NULL);"
    "ALTER TABLE person ADD COLUMN fist_m REAL NOT NULL DEFAULT 0;"
    "ALTER TABLE person ADD COLUMN foot_m REAL NOT NULL DEFAULT 0;",
    // 12: what the instructor saw, without a figure; own schools; the clip that stands beside students' clips of a movement
    "CREATE TABLE seen(id INTEGER PRIMARY KEY, clip INTEGER NOT NULL REFERENCES clip(id), time_s REAL NOT NULL, family INTEGER NOT NULL, "
    "side TEXT NOT NULL, safety INTEGER NOT NULL, words TEXT NOT NULL);"
    "CREATE INDEX seen_clip ON seen(clip);"
    "CREATE TABLE own_school(id TEXT PRIMARY KEY, body TEXT NOT NULL);"
    "CREATE TABLE model(movement TEXT PRIMARY KEY, clip INTEGER NOT NULL REFERENCES clip(id));",
    // 13: what is known of a person, how it went on the day of a clip, and the figures of each clip, so that years of them are read at once
    "CREATE TABLE facts(person INTEGER PRIMARY KEY REFERENCES person(id), body TEXT NOT NULL);"
    "CREATE TABLE condition(clip INTEGER PRIMARY KEY REFERENCES clip(id), pain TEXT NOT NULL, energy INTEGER);"
    "CREATE TABLE figures_of(clip INTEGER PRIMARY KEY REFERENCES clip(id), count INTEGER NOT NULL);"
    "CREATE TABLE figure(clip INTEGER NOT NULL REFERENCES clip(id), movement TEXT NOT NULL, view TEXT NOT NULL, check_id TEXT NOT NULL, "
    "side TEXT NOT NULL, measure TEXT NOT NULL, unit TEXT NOT NULL, value REAL NOT NULL, own REAL NOT NULL, of_clip REAL NOT NULL, "
    "person_part REAL NOT NULL, low REAL, high REAL, matters REAL NOT NULL, judged INTEGER NOT NULL, reference INTEGER NOT NULL, PRIMARY "
    "KEY(clip, check_id, side));",
    // 14: what became of a letter, own words and templates, plans and what was practised; what is asked of ten years is found by indices
    "ALTER TABLE letter ADD COLUMN how TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE letter ADD COLUMN answered_on TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE letter ADD COLUMN answer TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE letter ADD COLUMN review_on TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE letter ADD COLUMN went TEXT NOT NULL DEFAULT '';" // body as it went out; the draft may be changed afterwards
    "UPDATE letter SET went=body WHERE sent_on<>'';"
    "CREATE INDEX letter_review ON letter(review_on);"
    "CREATE TABLE phrase(id INTEGER PRIMARY KEY, check_id TEXT NOT NULL, direction TEXT NOT NULL, role TEXT NOT NULL, language TEXT NOT "
    "NULL, words TEXT NOT NULL, used INTEGER NOT NULL, last_on TEXT NOT NULL, UNIQUE(check_id, direction, role, language, words));"
    "CREATE TABLE own_letter(id TEXT PRIMARY KEY, body TEXT NOT NULL);"
    "CREATE TABLE own_plan(id TEXT PRIMARY KEY, body TEXT NOT NULL);"
    "CREATE TABLE practice(id INTEGER PRIMARY KEY, person INTEGER REFERENCES person(id), day TEXT NOT NULL, title TEXT NOT NULL, minutes "
    "REAL NOT NULL, effort INTEGER, felt TEXT NOT NULL, pain TEXT NOT NULL, done TEXT NOT NULL, plan TEXT NOT NULL);"
    "CREATE INDEX practice_person ON practice(person, day);"
    "CREATE INDEX sent_person ON sent(person, sent_at);"
    "CREATE INDEX clip_state ON clip(state);"
    "CREATE INDEX clip_arrived ON clip(arrived_on, id);"
    "CREATE INDEX clip_turn ON clip(turn);"
    "CREATE INDEX clip_movement ON clip(person, movement);"
    "CREATE INDEX decision_clip ON decision(clip, choice);",
    // 15: which graded version a clip shows and its figures are of; films that were deleted on purpose
    "ALTER TABLE clip ADD COLUMN version TEXT;"
    "ALTER TABLE clip ADD COLUMN film_dropped INTEGER NOT NULL DEFAULT 0;"
    "ALTER TABLE figure ADD COLUMN version TEXT NOT NULL DEFAULT '';"
    // What is searched and what is asked of a person's line of clips is told by indices alone.
    "DROP INDEX clip_arrived;"
    "CREATE INDEX clip_search ON clip(arrived_on, id, person, movement, filmed_on, state, named);"
    "DROP INDEX clip_movement;"
    "CREATE INDEX clip_line ON clip(person, movement, filmed_on, arrived_on, pair);",
    // 16: what else a clip may show than it is named, and what it is judged as all the same
    "ALTER TABLE clip ADD COLUMN which TEXT NOT NULL DEFAULT '';"
    "ALTER TABLE clip ADD COLUMN as_named TEXT NOT NULL DEFAULT '';",
    // 17: ids of people and clips are never used again, so that what comes late for one that was deleted lands on nobody; a person's own
    // neutral and comfortable range; files on their way out
    "CREATE TABLE person_17(id INTEGER PRIMARY KEY AUTOINCREMENT, name TEXT NOT NULL, stature_m REAL NOT NULL CHECK(stature_m BETWEEN 0.8 "
    "AND 2.5), notes TEXT NOT NULL DEFAULT '', shoulder_width_m REAL NOT NULL DEFAULT 0, keep_until TEXT NOT NULL DEFAULT '', fist_m REAL "
    "NOT NULL DEFAULT 0, foot_m REAL NOT NULL DEFAULT 0, neutral TEXT NOT NULL DEFAULT '');"
    "INSERT INTO person_17(id, name, stature_m, notes, shoulder_width_m, keep_until, fist_m, foot_m) SELECT id, name, stature_m, notes, "
    "shoulder_width_m, keep_until, fist_m, foot_m FROM person;"
    "DROP TABLE person;"
    "ALTER TABLE person_17 RENAME TO person;"
    "CREATE TABLE clip_17(id INTEGER PRIMARY KEY AUTOINCREMENT, person INTEGER REFERENCES person(id), file TEXT NOT NULL, movement TEXT "
    "NOT NULL, school TEXT NOT NULL DEFAULT '', view TEXT NOT NULL DEFAULT '', filmed_on TEXT NOT NULL DEFAULT '', arrived_on TEXT NOT "
    "NULL DEFAULT '', state INTEGER NOT NULL DEFAULT 0, problem TEXT NOT NULL DEFAULT '', mirrored INTEGER NOT NULL DEFAULT 0, hash TEXT "
    "NOT NULL DEFAULT '', named TEXT NOT NULL DEFAULT '', guess TEXT NOT NULL DEFAULT '', turn INTEGER NOT NULL DEFAULT 0, pair INTEGER "
    "NOT NULL DEFAULT 0, part_from_s REAL, part_to_s REAL, states TEXT NOT NULL DEFAULT '', footwear TEXT NOT NULL DEFAULT '', surface "
    "TEXT NOT NULL DEFAULT '', meant TEXT NOT NULL DEFAULT '', look BLOB NOT NULL DEFAULT x'', version TEXT, film_dropped INTEGER NOT NULL "
    "DEFAULT 0, which TEXT NOT NULL DEFAULT '', as_named TEXT NOT NULL DEFAULT '');"
    "INSERT INTO clip_17(id, person, file, movement, school, view, filmed_on, arrived_on, state, problem, mirrored, hash, named, guess, "
    "turn, pair, part_from_s, part_to_s, states, footwear, surface, meant, look, version, film_dropped, which, as_named) SELECT id, "
    "person, file, movement, school, view, filmed_on, arrived_on, state, problem, mirrored, hash, named, guess, turn, pair, part_from_s, "
    "part_to_s, states, footwear, surface, meant, look, version, film_dropped, which, as_named FROM clip;"
    "DROP TABLE clip;"
    "ALTER TABLE clip_17 RENAME TO clip;"
    "CREATE INDEX clip_person ON clip(person);"
    "CREATE INDEX clip_file ON clip(file);"
    "CREATE INDEX clip_state ON clip(state);"
    "CREATE INDEX clip_turn ON clip(turn);"
    "CREATE INDEX clip_search ON clip(arrived_on, id, person, movement, filmed_on, state, named);"
    "CREATE INDEX clip_line ON clip(person, movement, filmed_on, arrived_on, pair);"
    // Files outside the library that are being written: a killed run's are removed at the next start.
    "CREATE TABLE pending(file TEXT PRIMARY KEY);",
    // 18: linked forms of the instructor's own; one clip may tell figures of several movements
    "CREATE TABLE own_linked(id TEXT PRIMARY KEY, body TEXT NOT NULL);"
    "CREATE TABLE figure_18(clip INTEGER NOT NULL REFERENCES clip(id), movement TEXT NOT NULL, view TEXT NOT NULL, check_id TEXT NOT NULL, "
    "side TEXT NOT NULL, measure TEXT NOT NULL, unit TEXT NOT NULL, value REAL NOT NULL, own REAL NOT NULL, of_clip REAL NOT NULL, "
    "person_part REAL NOT NULL, low REAL, high REAL, matters REAL NOT NULL, judged INTEGER NOT NULL, reference INTEGER NOT NULL, version "
    "TEXT NOT NULL DEFAULT '', PRIMARY KEY(clip, movement, check_id, side));"
    "INSERT INTO figure_18 SELECT clip, movement, view, check_id, side, measure, unit, value, own, of_clip, person_part, low, high, "
    "matters, "
    "judged, reference, version FROM figure;"
    "DROP TABLE figure;"
    "ALTER TABLE figure_18 RENAME TO figure;",
    // 19: classes, who belongs to them, their lessons and who was there
    "CREATE TABLE class(id INTEGER PRIMARY KEY AUTOINCREMENT, body TEXT NOT NULL);"
    "CREATE TABLE class_member(class INTEGER NOT NULL REFERENCES class(id), person INTEGER NOT NULL REFERENCES person(id), PRIMARY "
    "KEY(class, person));"
    "CREATE INDEX class_member_person ON class_member(person);"
    "CREATE TABLE lesson(id INTEGER PRIMARY KEY AUTOINCREMENT, class INTEGER NOT NULL REFERENCES class(id), day TEXT NOT NULL, plan TEXT "
    "NOT NULL, held INTEGER NOT NULL DEFAULT 0, notes TEXT NOT NULL DEFAULT '', UNIQUE(class, day));"
    "CREATE TABLE lesson_person(lesson INTEGER NOT NULL REFERENCES lesson(id), person INTEGER NOT NULL REFERENCES person(id), here INTEGER "
    "NOT NULL, today TEXT NOT NULL DEFAULT '', PRIMARY KEY(lesson, person));"
    "CREATE INDEX lesson_person_person ON lesson_person(person);",
    // 20: quiet tests
    "CREATE TABLE quiet_test(id INTEGER PRIMARY KEY AUTOINCREMENT, person INTEGER NOT NULL REFERENCES person(id), clip INTEGER REFERENCES "
    "clip(id), day TEXT NOT NULL, test TEXT NOT NULL, body TEXT NOT NULL);"
    "CREATE INDEX quiet_test_person ON quiet_test(person, day);"
    "CREATE INDEX quiet_test_clip ON quiet_test(clip);",
    // 21: two clips filmed at once: the body fitted to both, or why there is none; the first is the one with the lower id
    "CREATE TABLE at_once(first INTEGER PRIMARY KEY REFERENCES clip(id), second INTEGER NOT NULL REFERENCES clip(id), made_of TEXT NOT "
    "NULL, "
    "why TEXT NOT NULL DEFAULT '', body BLOB);"
    "CREATE INDEX at_once_second ON at_once(second);",
    // 22: courses of weeks
    "CREATE TABLE course(id INTEGER PRIMARY KEY AUTOINCREMENT, person INTEGER NOT NULL REFERENCES person(id), title TEXT NOT NULL, wish "
    "TEXT NOT NULL, weeks TEXT NOT NULL);"
    "CREATE INDEX course_person ON course(person);",
    // 23: who learns to see, and what they saw in clip after clip: counts, nobody of whom a clip is
    "CREATE TABLE assistant(id INTEGER PRIMARY KEY AUTOINCREMENT, name TEXT NOT NULL);"
    "CREATE TABLE seen_round(id INTEGER PRIMARY KEY AUTOINCREMENT, assistant INTEGER NOT NULL REFERENCES assistant(id), clip INTEGER "
    "REFERENCES clip(id), day TEXT NOT NULL, body TEXT NOT NULL);"
    "CREATE INDEX seen_round_assistant ON seen_round(assistant);"
    "CREATE INDEX seen_round_clip ON seen_round(clip);",
    // 24: a course is of a person or of a class
    "CREATE TABLE course_24(id INTEGER PRIMARY KEY AUTOINCREMENT, person INTEGER REFERENCES person(id), class INTEGER REFERENCES "
    "class(id), "
    "title TEXT NOT NULL, wish TEXT NOT NULL, weeks TEXT NOT NULL, CHECK((person IS NULL) <> (class IS NULL)));"
    "INSERT INTO course_24(id, person, title, wish, weeks) SELECT id, person, title, wish, weeks FROM course;"
    "DROP TABLE course;"
    "ALTER TABLE course_24 RENAME TO course;"
    "CREATE INDEX course_person ON course(person);"
    "CREATE INDEX course_class ON course(class);",
};

} // namespace bevel
