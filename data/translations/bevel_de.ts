<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de" sourcelanguage="en">
<context>
    <name>CoursePage</name>
    <message>
        <source>Week %1, from %2</source>
        <translation>Woche %1, ab %2</translation>
    </message>
    <message>
        <source>Missed.</source>
        <translation>Ausgefallen.</translation>
    </message>
    <message>
        <source>, up to part %1</source>
        <translation>, bis Teil %1</translation>
    </message>
    <message>
        <source>New: %1</source>
        <translation>Neu: %1</translation>
    </message>
    <message>
        <source>From memory: %1</source>
        <translation>Aus dem Gedächtnis: %1</translation>
    </message>
    <message>
        <source>Again: %1</source>
        <translation>Wieder: %1</translation>
    </message>
    <message>
        <source>A day at home</source>
        <translation>Ein Tag zu Hause</translation>
    </message>
    <message>
        <source>Course</source>
        <translation>Kurs</translation>
    </message>
    <message>
        <source>%1, %2 rounds</source>
        <translation>%1, %2 Runden</translation>
    </message>
    <message>
        <source>Practise along with it</source>
        <translation>Zum Mitüben</translation>
    </message>
    <message>
        <source>week</source>
        <translation>Woche</translation>
    </message>
</context>
<context>
    <name>CourseWords</name>
    <message>
        <source>%1 of %2 minutes</source>
        <translation>%1 zu %2 Minuten</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Balance</source>
        <translation>Gleichgewicht</translation>
    </message>
    <message>
        <source>new</source>
        <translation>neu</translation>
    </message>
    <message>
        <source>goes on</source>
        <translation>geht weiter</translation>
    </message>
    <message>
        <source>again</source>
        <translation>wieder</translation>
    </message>
    <message>
        <source>from memory</source>
        <translation>aus dem Gedächtnis</translation>
    </message>
    <message>
        <source>lighter week: nothing new, shorter and slower</source>
        <translation>leichtere Woche: nichts Neues, kürzer und langsamer</translation>
    </message>
    <message>
        <source>recall week: everything from memory</source>
        <translation>Woche des Erinnerns: alles aus dem Gedächtnis</translation>
    </message>
    <message>
        <source>%1 lesson</source>
        <translation>%1 Stunde</translation>
    </message>
    <message>
        <source>%1 lessons</source>
        <translation>%1 Stunden</translation>
    </message>
    <message>
        <source>%1 day at home</source>
        <translation>%1 Tag zu Hause</translation>
    </message>
    <message>
        <source>%1 days at home</source>
        <translation>%1 Tage zu Hause</translation>
    </message>
    <message>
        <source>slower than usual</source>
        <translation>langsamer als sonst</translation>
    </message>
    <message>
        <source>The clip of last week is looked at.</source>
        <translation>Der Clip der letzten Woche wird angesehen.</translation>
    </message>
    <message>
        <source>A clip is asked for by the end of the week.</source>
        <translation>Bis zum Ende der Woche wird um einen Clip gebeten.</translation>
    </message>
    <message>
        <source>Balance is left out: limits, the day, or nothing to hold on to stand against it.</source>
        <translation>Gleichgewicht fällt weg: Grenzen, der Tag oder nichts zum Festhalten stehen dagegen.</translation>
    </message>
    <message>
        <source>%1 does not fit in: one new thing a week is enough.</source>
        <translation>%1 passt nicht hinein: ein Neues in der Woche genügt.</translation>
    </message>
    <message>
        <source>missed</source>
        <translation>ausgefallen</translation>
    </message>
    <message>
        <source>lighter</source>
        <translation>leichter</translation>
    </message>
    <message>
        <source>recall</source>
        <translation>Erinnern</translation>
    </message>
    <message>
        <source>A letter asked for it: it comes before anything else that is new.</source>
        <translation>Ein Brief hat darum gebeten: Es kommt vor allem anderen Neuen.</translation>
    </message>
    <message>
        <source>The one new thing of this week.</source>
        <translation>Das eine Neue dieser Woche.</translation>
    </message>
    <message>
        <source>With its drill: %1.</source>
        <translation>Mit seiner Übung: %1.</translation>
    </message>
    <message>
        <source>One step up: %1.</source>
        <translation>Eine Stufe weiter: %1.</translation>
    </message>
    <message>
        <source>The next parts, up to part %1.</source>
        <translation>Die nächsten Teile, bis Teil %1.</translation>
    </message>
    <message>
        <source>From memory, before it is shown again.</source>
        <translation>Aus dem Gedächtnis, bevor es wieder gezeigt wird.</translation>
    </message>
    <message numerus="yes">
        <source>It comes back %n week(s) after it was last done, each time a little later.</source>
        <translation>
            <numerusform>Es kommt %n Woche nach dem letzten Mal wieder, jedes Mal etwas später.</numerusform>
            <numerusform>Es kommt %n Wochen nach dem letzten Mal wieder, jedes Mal etwas später.</numerusform>
        </translation>
    </message>
    <message>
        <source>Known already: it comes back so that it stays.</source>
        <translation>Schon bekannt: Es kommt wieder, damit es bleibt.</translation>
    </message>
    <message>
        <source>It rests until week %1.</source>
        <translation>Es ruht bis Woche %1.</translation>
    </message>
    <message>
        <source>It rests from here on.</source>
        <translation>Es ruht von hier an.</translation>
    </message>
    <message>
        <source>It begins in week %1.</source>
        <translation>Es beginnt in Woche %1.</translation>
    </message>
    <message>
        <source>It does not begin in this course.</source>
        <translation>Es beginnt in diesem Kurs nicht.</translation>
    </message>
    <message>
        <source>Set by hand to begin in week %1.</source>
        <translation>Von Hand auf Woche %1 gesetzt.</translation>
    </message>
    <message>
        <source>%1 comes in, in week %2</source>
        <translation>%1 kommt hinzu, in Woche %2</translation>
    </message>
    <message>
        <source>%1 comes in</source>
        <translation>%1 kommt hinzu</translation>
    </message>
    <message>
        <source>%1 goes out</source>
        <translation>%1 fällt weg</translation>
    </message>
    <message>
        <source>%1 is arranged anew</source>
        <translation>%1 wird neu gelegt</translation>
    </message>
    <message>
        <source>%1 moves from week %2 to week %3</source>
        <translation>%1 rückt von Woche %2 auf Woche %3</translation>
    </message>
    <message>
        <source>%1 weeks in place of %2</source>
        <translation>%1 Wochen statt %2</translation>
    </message>
    <message>
        <source>what returns is arranged anew from week %1 on</source>
        <translation>was wiederkehrt, wird ab Woche %1 neu gelegt</translation>
    </message>
    <message>
        <source>lesson of week %1</source>
        <translation>Stunde der Woche %1</translation>
    </message>
    <message>
        <source>at home, week %1</source>
        <translation>zu Hause, Woche %1</translation>
    </message>
</context>
<context>
    <name>OpeningWords</name>
    <message>
        <source>Choose a backup</source>
        <translation>Sicherung wählen</translation>
    </message>
    <message>
        <source>Backups (*.tar)</source>
        <translation>Sicherungen (*.tar)</translation>
    </message>
    <message>
        <source>Into which empty folder?</source>
        <translation>In welchen leeren Ordner?</translation>
    </message>
    <message>
        <source>Restoring …</source>
        <translation>Wird wiederhergestellt …</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Anhalten</translation>
    </message>
    <message>
        <source>Without these</source>
        <translation>Ohne diese</translation>
    </message>
    <message>
        <source>Try again</source>
        <translation>Noch einmal</translation>
    </message>
    <message>
        <source>Open it for reading</source>
        <translation>Zum Lesen öffnen</translation>
    </message>
    <message>
        <source>Restore a backup …</source>
        <translation>Sicherung wiederherstellen …</translation>
    </message>
    <message>
        <source>Choose another library …</source>
        <translation>Andere Bibliothek wählen …</translation>
    </message>
    <message>
        <source>Quit</source>
        <translation>Beenden</translation>
    </message>
    <message>
        <source>The folder of a library, or an empty one</source>
        <translation>Der Ordner einer Bibliothek, oder ein leerer</translation>
    </message>
</context>
<context>
    <name>OwnWords</name>
    <message>
        <source>head %1 ahead of the shoulders</source>
        <translation>Kopf %1 vor den Schultern</translation>
    </message>
    <message>
        <source>head %1 behind the shoulders</source>
        <translation>Kopf %1 hinter den Schultern</translation>
    </message>
    <message>
        <source>left shoulder %1 below the ear</source>
        <translation>linke Schulter %1 unter dem Ohr</translation>
    </message>
    <message>
        <source>right shoulder %1 below the ear</source>
        <translation>rechte Schulter %1 unter dem Ohr</translation>
    </message>
    <message>
        <source>nose %1 over the ears</source>
        <translation>Nase %1 über den Ohren</translation>
    </message>
    <message>
        <source>nose %1 under the ears</source>
        <translation>Nase %1 unter den Ohren</translation>
    </message>
    <message>
        <source>upper back rounded by %1</source>
        <translation>oberer Rücken um %1 gerundet</translation>
    </message>
    <message>
        <source>low back hollow by %1</source>
        <translation>unterer Rücken um %1 hohl</translation>
    </message>
    <message>
        <source>the hips sink by %1 of their height</source>
        <translation>sinken die Hüften um %1 ihrer Höhe</translation>
    </message>
    <message>
        <source>shoulders against hips turn by %1</source>
        <translation>drehen die Schultern gegen die Hüften um %1</translation>
    </message>
    <message>
        <source>the trunk bends sideways by %1</source>
        <translation>neigt sich der Rumpf zur Seite um %1</translation>
    </message>
    <message>
        <source>a stooped back, leaning by %1</source>
        <translation>ein gebeugter Rücken, um %1 geneigt</translation>
    </message>
</context>
<context>
    <name>PartWords</name>
    <message>
        <source>%1 to %2</source>
        <comment>parts from … to …</comment>
        <translation>%1 bis %2</translation>
    </message>
    <message>
        <source>done, begun from elsewhere than the form has it</source>
        <translation>gemacht, von anderswo begonnen, als die Form es vorsieht</translation>
    </message>
    <message>
        <source>done</source>
        <translation>gemacht</translation>
    </message>
    <message>
        <source>seen in part</source>
        <translation>zum Teil zu sehen</translation>
    </message>
    <message>
        <source>something else is done here</source>
        <translation>hier wird etwas anderes gemacht</translation>
    </message>
    <message>
        <source>left out</source>
        <translation>ausgelassen</translation>
    </message>
    <message>
        <source>done again</source>
        <translation>noch einmal gemacht</translation>
    </message>
    <message>
        <source>done out of order</source>
        <translation>außer der Reihe gemacht</translation>
    </message>
    <message numerus="yes">
        <source>; %n figure(s) outside</source>
        <translation>
            <numerusform>; %n Wert außerhalb</numerusform>
            <numerusform>; %n Werte außerhalb</numerusform>
        </translation>
    </message>
    <message>
        <source>; slower than the form has it (× %1)</source>
        <translation>; langsamer, als die Form es vorsieht (× %1)</translation>
    </message>
    <message>
        <source>; quicker than the form has it (× %1)</source>
        <translation>; schneller, als die Form es vorsieht (× %1)</translation>
    </message>
    <message>
        <source>%1. %2: %3</source>
        <comment>number, name, how a part is done</comment>
        <translation>%1. %2: %3</translation>
    </message>
    <message numerus="yes">
        <source>all %n part(s) in their order</source>
        <translation>
            <numerusform>der eine Teil</numerusform>
            <numerusform>alle %n Teile in ihrer Reihe</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 of %2 parts in their order</source>
        <translation>%1 von %2 Teilen in ihrer Reihe</translation>
    </message>
    <message>
        <source>left out: %1</source>
        <translation>ausgelassen: %1</translation>
    </message>
    <message>
        <source>something else done: %1</source>
        <translation>etwas anderes gemacht: %1</translation>
    </message>
    <message>
        <source>done again: %1</source>
        <translation>noch einmal gemacht: %1</translation>
    </message>
    <message>
        <source>out of order: %1</source>
        <translation>außer der Reihe: %1</translation>
    </message>
    <message>
        <source>not seen: nothing is said of it</source>
        <translation>nicht zu sehen: dazu wird nichts gesagt</translation>
    </message>
    <message>
        <source>, seen %1</source>
        <comment>from which side</comment>
        <translation>, gesehen %1</translation>
    </message>
    <message>
        <source>not seen: %1</source>
        <translation>nicht zu sehen: %1</translation>
    </message>
    <message>
        <source>, time %1 through the form</source>
        <translation>, %1. Mal durch die Form</translation>
    </message>
    <message numerus="yes">
        <source>begun %n time(s)</source>
        <translation>
            <numerusform>%n-mal begonnen</numerusform>
            <numerusform>%n-mal begonnen</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>arrivals</name>
    <message>
        <source>The body on the newest frame</source>
        <translation>Der Körper auf dem neuesten Bild</translation>
    </message>
</context>
<context>
    <name>band</name>
    <message>
        <source>asked</source>
        <translation>verlangt</translation>
    </message>
</context>
<context>
    <name>bevel::ui::Actions</name>
    <message>
        <source>&amp;File</source>
        <translation>&amp;Datei</translation>
    </message>
    <message>
        <source>&amp;Edit</source>
        <translation>&amp;Bearbeiten</translation>
    </message>
    <message>
        <source>&amp;View</source>
        <translation>&amp;Ansicht</translation>
    </message>
    <message>
        <source>&amp;Go</source>
        <translation>&amp;Gehe zu</translation>
    </message>
    <message>
        <source>&amp;Clip</source>
        <translation>&amp;Aufnahme</translation>
    </message>
    <message>
        <source>&amp;Help</source>
        <translation>&amp;Hilfe</translation>
    </message>
</context>
<context>
    <name>bevel::ui::AgreementDialog</name>
    <message>
        <source>Agree on a band with %1</source>
        <translation>Einen Bereich mit %1 vereinbaren</translation>
    </message>
    <message>
        <source>At least</source>
        <translation>Mindestens</translation>
    </message>
    <message>
        <source>At most</source>
        <translation>Höchstens</translation>
    </message>
    <message>
        <source>Do not judge it at all</source>
        <translation>Gar nicht beurteilen</translation>
    </message>
    <message>
        <source>For how long</source>
        <translation>Wie lange</translation>
    </message>
    <message>
        <source>With %1, from a day on</source>
        <translation>Mit %1, ab einem Tag</translation>
    </message>
    <message>
        <source>For this clip only</source>
        <translation>Nur für diese Aufnahme</translation>
    </message>
    <message>
        <source>From</source>
        <translation>Ab</translation>
    </message>
    <message>
        <source>until</source>
        <translation>bis</translation>
    </message>
    <message>
        <source>Until</source>
        <translation>Bis</translation>
    </message>
    <message>
        <source>Reason</source>
        <translation>Grund</translation>
    </message>
    <message>
        <source>Why: the reader of a review sees it</source>
        <translation>Warum: wer die Durchsicht liest, sieht es</translation>
    </message>
    <message>
        <source>Usual band: %1, by %2</source>
        <translation>Üblicher Bereich: %1, durch %2</translation>
    </message>
    <message>
        <source>Holds</source>
        <translation>Gilt</translation>
    </message>
    <message>
        <source>Bevel keeps what was agreed about form. It keeps no diagnosis.</source>
        <translation>Bevel bewahrt, was über die Form vereinbart ist. Es bewahrt keine Diagnose.</translation>
    </message>
    <message>
        <source>Agree</source>
        <translation>Vereinbaren</translation>
    </message>
    <message>
        <source>Take it back</source>
        <translation>Zurücknehmen</translation>
    </message>
    <message>
        <source>Say why first</source>
        <translation>Zuerst den Grund nennen</translation>
    </message>
    <message>
        <source>The last day lies before the first</source>
        <translation>Der letzte Tag liegt vor dem ersten</translation>
    </message>
    <message>
        <source>The band is upside down</source>
        <translation>Der Bereich steht auf dem Kopf</translation>
    </message>
</context>
<context>
    <name>bevel::ui::ArrivalsPage</name>
    <message>
        <source>Clips</source>
        <translation>Aufnahmen</translation>
    </message>
    <message>
        <source>Student</source>
        <translation>Übende</translation>
    </message>
    <message>
        <source>Movement</source>
        <translation>Bewegung</translation>
    </message>
    <message>
        <source>Filmed</source>
        <translation>Gefilmt</translation>
    </message>
    <message>
        <source>On</source>
        <translation>Am</translation>
    </message>
    <message>
        <source>State</source>
        <translation>Stand</translation>
    </message>
    <message>
        <source>Arrivals</source>
        <translation>Eingang</translation>
    </message>
    <message>
        <source>Drop clips or folders anywhere. Film from the front or straight from a side, whole body and both feet in the picture.</source>
        <translation>Aufnahmen oder Ordner irgendwo hineinziehen. Von vorn oder gerade von der Seite filmen, der ganze Körper und beide Füße im Bild.</translation>
    </message>
    <message>
        <source>Open the review</source>
        <translation>Durchsicht öffnen</translation>
    </message>
    <message>
        <source>Change …</source>
        <translation>Ändern …</translation>
    </message>
    <message>
        <source>Another student, movement, view or school for the chosen clip; it is judged again</source>
        <translation>Andere Übende, Bewegung, Ansicht oder Schule für die gewählte Aufnahme; sie wird neu beurteilt</translation>
    </message>
    <message>
        <source>Search by student, movement, date or state</source>
        <translation>Nach Übenden, Bewegung, Tag oder Stand suchen</translation>
    </message>
    <message>
        <source>Search: student, movement, date, state</source>
        <translation>Suche: Name, Bewegung, Tag, Stand</translation>
    </message>
    <message>
        <source>Take in a clip …</source>
        <translation>Aufnahme hereinnehmen …</translation>
    </message>
    <message>
        <source>Back up the library …</source>
        <translation>Bibliothek sichern …</translation>
    </message>
    <message>
        <source>Everything in one file: people, clips, points, decisions, letters</source>
        <translation>Alles in einer Datei: Menschen, Aufnahmen, Punkte, Entscheidungen, Briefe</translation>
    </message>
    <message>
        <source>Restore a backup …</source>
        <translation>Sicherung zurückholen …</translation>
    </message>
    <message>
        <source>Change student, movement or view …</source>
        <translation>Übende, Bewegung oder Ansicht ändern …</translation>
    </message>
    <message>
        <source>Delete this clip …</source>
        <translation>Diese Aufnahme löschen …</translation>
    </message>
    <message>
        <source>Erase this student …</source>
        <translation>Diese Übende auslöschen …</translation>
    </message>
    <message>
        <source>Everything about this person: clips, points, decisions, agreements and letters</source>
        <translation>Alles über diesen Menschen: Aufnahmen, Punkte, Entscheidungen, Vereinbarungen und Briefe</translation>
    </message>
    <message>
        <source>The body is being looked for in this clip. Stop that first.</source>
        <translation>In dieser Aufnahme wird gerade der Körper gesucht. Das zuerst anhalten.</translation>
    </message>
    <message>
        <source>Stop it</source>
        <translation>Anhalten</translation>
    </message>
    <message>
        <source>Delete this clip?</source>
        <translation>Diese Aufnahme löschen?</translation>
    </message>
    <message>
        <source>The clip of %1, its points and what was decided about it are deleted. Letters that were sent stay.</source>
        <translation>Die Aufnahme von %1, ihre Punkte und was dazu entschieden wurde, werden gelöscht. Gesendete Briefe bleiben.</translation>
    </message>
    <message>
        <source>Delete</source>
        <translation>Löschen</translation>
    </message>
    <message>
        <source>Deleting …</source>
        <translation>Wird gelöscht …</translation>
    </message>
    <message>
        <source>Deleted.</source>
        <translation>Gelöscht.</translation>
    </message>
    <message>
        <source>A body is being looked for. Stop that first.</source>
        <translation>Gerade wird ein Körper gesucht. Das zuerst anhalten.</translation>
    </message>
    <message>
        <source>Erase %1?</source>
        <translation>%1 auslöschen?</translation>
    </message>
    <message>
        <source>All clips, points, decisions, agreements and letters of %1 are erased and overwritten. This cannot be undone.</source>
        <translation>Alle Aufnahmen, Punkte, Entscheidungen, Vereinbarungen und Briefe von %1 werden ausgelöscht und überschrieben. Das lässt sich nicht zurücknehmen.</translation>
    </message>
    <message>
        <source>Erase</source>
        <translation>Auslöschen</translation>
    </message>
    <message>
        <source>Erasing …</source>
        <translation>Wird ausgelöscht …</translation>
    </message>
    <message>
        <source>%1 is erased: %2 clips, %3 letters.</source>
        <translation>%1 ist ausgelöscht: %2 Aufnahmen, %3 Briefe.</translation>
    </message>
    <message>
        <source>These backups still hold them; delete them or make new ones: %1</source>
        <translation>Diese Sicherungen enthalten sie noch; löschen oder neue machen: %1</translation>
    </message>
    <message>
        <source>Back up the library</source>
        <translation>Bibliothek sichern</translation>
    </message>
    <message>
        <source>Backups (*.tar)</source>
        <translation>Sicherungen (*.tar)</translation>
    </message>
    <message>
        <source>Backing up …</source>
        <translation>Wird gesichert …</translation>
    </message>
    <message>
        <source>Backed up: %1</source>
        <translation>Gesichert: %1</translation>
    </message>
    <message>
        <source>Choose a backup</source>
        <translation>Eine Sicherung wählen</translation>
    </message>
    <message>
        <source>Into which empty folder?</source>
        <translation>In welchen leeren Ordner?</translation>
    </message>
    <message>
        <source>Restoring …</source>
        <translation>Wird zurückgeholt …</translation>
    </message>
    <message>
        <source>Restored. Open it with: bevel %1</source>
        <translation>Zurückgeholt. Öffnen mit: bevel %1</translation>
    </message>
    <message>
        <source>Body found on %1 % of the frames</source>
        <translation>Körper auf %1 % der Bilder gefunden</translation>
    </message>
    <message>
        <source>%1 frames/s</source>
        <translation>%1 Bilder/s</translation>
    </message>
    <message>
        <source>true vertical seen in the room</source>
        <translation>wahre Senkrechte im Raum gesehen</translation>
    </message>
    <message>
        <source>no upright edges seen: the camera is taken as level, and its error is larger</source>
        <translation>keine senkrechten Kanten gesehen: die Kamera gilt als waagrecht, ihr Fehler ist größer</translation>
    </message>
    <message>
        <source>quiet standing found</source>
        <translation>ruhiges Stehen gefunden</translation>
    </message>
    <message>
        <source>no quiet standing: figures that need it are left out</source>
        <translation>kein ruhiges Stehen: Werte, die es brauchen, entfallen</translation>
    </message>
    <message>
        <source>The body is being looked for on every frame.</source>
        <translation>Der Körper wird auf jedem Bild gesucht.</translation>
    </message>
    <message>
        <source>Waiting for its turn: the body has not been looked for yet.</source>
        <translation>Wartet: der Körper wurde noch nicht gesucht.</translation>
    </message>
    <message>
        <source>Try again</source>
        <translation>Noch einmal</translation>
    </message>
    <message>
        <source>finding the body …</source>
        <translation>Körper wird gesucht …</translation>
    </message>
    <message>
        <source>waiting for its turn</source>
        <translation>wartet</translation>
    </message>
    <message>
        <source>to be reviewed</source>
        <translation>durchzusehen</translation>
    </message>
    <message>
        <source>reviewed</source>
        <translation>durchgesehen</translation>
    </message>
    <message>
        <source>stopped</source>
        <translation>angehalten</translation>
    </message>
    <message>
        <source>cannot be judged</source>
        <translation>nicht zu beurteilen</translation>
    </message>
    <message>
        <source>as the clip shows</source>
        <translation>wie es die Aufnahme zeigt</translation>
    </message>
    <message>
        <source>Filming guide …</source>
        <translation>Filmanleitung …</translation>
    </message>
    <message>
        <source>A page for students: where to stand, where the phone goes, what to wear, for the chosen movement</source>
        <translation>Eine Seite für Übende: wo stehen, wohin mit dem Telefon, was tragen, für die gewählte Bewegung</translation>
    </message>
    <message>
        <source>It is the guess number %1</source>
        <translation>Es ist die Vermutung Nummer %1</translation>
    </message>
    <message>
        <source>That is right: whose it is and which movement</source>
        <translation>Das stimmt: wer es ist und welche Bewegung</translation>
    </message>
    <message>
        <source>To the next clip that is asked about</source>
        <translation>Zur nächsten Aufnahme, nach der gefragt wird</translation>
    </message>
    <message>
        <source>Look at this clip sooner</source>
        <translation>Diese Aufnahme früher ansehen</translation>
    </message>
    <message>
        <source>Look at this clip later</source>
        <translation>Diese Aufnahme später ansehen</translation>
    </message>
    <message>
        <source>Let the queue rest</source>
        <translation>Die Schlange ruhen lassen</translation>
    </message>
    <message>
        <source>The clip under way is finished; nothing new is begun until it goes on</source>
        <translation>Die laufende Aufnahme wird fertig; Neues beginnt erst, wenn es weitergeht</translation>
    </message>
    <message>
        <source>Filming guide for %1</source>
        <translation>Filmanleitung für %1</translation>
    </message>
    <message>
        <source>HTML (*.html);;PDF (*.pdf)</source>
        <translation>HTML (*.html);;PDF (*.pdf)</translation>
    </message>
    <message>
        <source>Saved: %1</source>
        <translation>Gespeichert: %1</translation>
    </message>
    <message>
        <source>Save elsewhere …</source>
        <translation>Anderswo speichern …</translation>
    </message>
    <message>
        <source>whose is it?</source>
        <translation>wer ist es?</translation>
    </message>
    <message>
        <source>which movement?</source>
        <translation>welche Bewegung?</translation>
    </message>
    <message>
        <source>Cut into parts …</source>
        <translation>In Teile schneiden …</translation>
    </message>
    <message>
        <source>Several takes or movements in one file: each becomes a clip of its own; idle beginnings and ends are left out</source>
        <translation>Mehrere Aufnahmen oder Bewegungen in einer Datei: jede wird ein eigener Clip; leere Anfänge und Enden fallen weg</translation>
    </message>
    <message>
        <source>Which one is it? …</source>
        <translation>Welche Person? …</translation>
    </message>
    <message>
        <source>Several people are in the picture: point to the student</source>
        <translation>Mehrere Menschen sind im Bild: auf die übende Person zeigen</translation>
    </message>
    <message>
        <source>Room and keeping …</source>
        <translation>Platz und Aufbewahren …</translation>
    </message>
    <message>
        <source>How much room the films take, and until when they are kept</source>
        <translation>Wie viel Platz die Filme brauchen und bis wann sie bleiben</translation>
    </message>
    <message>
        <source>Which of several people is it? …</source>
        <translation>Welche von mehreren Personen ist es? …</translation>
    </message>
    <message>
        <source>Cutting …</source>
        <translation>Wird geschnitten …</translation>
    </message>
    <message>
        <source>Only this stretch counts now.</source>
        <translation>Nur dieser Abschnitt zählt jetzt.</translation>
    </message>
    <message numerus="yes">
        <source>Cut into %n clips.</source>
        <translation>
            <numerusform>In %n Clip geschnitten.</numerusform>
            <numerusform>In %n Clips geschnitten.</numerusform>
        </translation>
    </message>
    <message>
        <source>The body is looked for again, in the one you pointed to.</source>
        <translation>Der Körper wird noch einmal gesucht, bei der gezeigten Person.</translation>
    </message>
    <message>
        <source>A film of which %1 is a part stays; cut it outside of Bevel, or delete it too.</source>
        <translation>Ein Film, zu dem auch %1 gehört, bleibt; ihn außerhalb von Bevel schneiden oder auch löschen.</translation>
    </message>
    <message>
        <source>Only clips that wait for their turn have an order.</source>
        <translation>Nur wartende Clips haben eine Reihenfolge.</translation>
    </message>
    <message>
        <source>%1, as a pair</source>
        <translation>%1, als Paar</translation>
    </message>
    <message>
        <source>Set the body by hand …</source>
        <translation>Körper von Hand setzen …</translation>
    </message>
    <message>
        <source>Nobody was found: set the points on a few frames yourself, Bevel follows them between</source>
        <translation>Niemand wurde gefunden: Punkte auf einigen Bildern selbst setzen, dazwischen verfolgt Bevel sie</translation>
    </message>
    <message>
        <source>This evening</source>
        <translation>Heute Abend</translation>
    </message>
    <message>
        <source>All clips</source>
        <translation>Alle Clips</translation>
    </message>
    <message>
        <source>%1 of %2 clips are listed: search for the others.</source>
        <translation>%1 von %2 Clips stehen hier: Nach den anderen wird gesucht.</translation>
    </message>
    <message>
        <source>Without these damaged films: %1.</source>
        <translation>Ohne diese beschädigten Filme: %1.</translation>
    </message>
    <message numerus="yes">
        <source>%n clip(s) have no film here any more.</source>
        <translation>
            <numerusform>%n Aufnahme hat hier keinen Film mehr.</numerusform>
            <numerusform>%n Aufnahmen haben hier keinen Film mehr.</numerusform>
        </translation>
    </message>
    <message>
        <source>letter templates</source>
        <translation>Briefvorlagen</translation>
    </message>
    <message>
        <source>own plans</source>
        <translation>eigene Pläne</translation>
    </message>
    <message>
        <source>practice logs</source>
        <translation>Übungsaufzeichnungen</translation>
    </message>
    <message>
        <source>own movements</source>
        <translation>eigene Bewegungen</translation>
    </message>
    <message>
        <source>letters to others</source>
        <translation>Briefe an andere</translation>
    </message>
    <message>
        <source>notes on other people</source>
        <translation>Notizen zu anderen Personen</translation>
    </message>
    <message>
        <source>file names of other clips</source>
        <translation>Dateinamen anderer Aufnahmen</translation>
    </message>
    <message>
        <source>other records</source>
        <translation>andere Einträge</translation>
    </message>
    <message>
        <source>Without these</source>
        <translation>Ohne diese</translation>
    </message>
    <message>
        <source>The name still stands elsewhere in your own texts (%1).</source>
        <translation>Der Name steht noch anderswo in deinen eigenen Texten (%1).</translation>
    </message>
    <message numerus="yes">
        <source>Own wordings that named them are erased too: %n.</source>
        <translation>
            <numerusform>Eigene Formulierungen, die den Namen nannten, sind mit gelöscht: %n.</numerusform>
            <numerusform>Eigene Formulierungen, die den Namen nannten, sind mit gelöscht: %n.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>bevel::ui::ChangesView</name>
    <message>
        <source>Movement</source>
        <translation>Bewegung</translation>
    </message>
    <message>
        <source>Smaller changes can be told from clips of the same place and side with more repetitions.</source>
        <translation>Kleinere Veränderungen lassen sich aus Clips vom selben Ort und derselben Seite mit mehr Wiederholungen erkennen.</translation>
    </message>
    <message>
        <source>with the other side</source>
        <translation>mit der anderen Seite</translation>
    </message>
    <message>
        <source>Left against right over the days</source>
        <translation>Links gegen rechts über die Tage</translation>
    </message>
    <message>
        <source>Before and after …</source>
        <translation>Vorher und nachher …</translation>
    </message>
    <message>
        <source>The first and the last clip of the line, side by side at the same moment of the movement</source>
        <translation>Der erste und der letzte Clip der Linie, nebeneinander im selben Moment der Bewegung</translation>
    </message>
    <message>
        <source>Figure</source>
        <translation>Wert</translation>
    </message>
    <message>
        <source>Way</source>
        <translation>Verlauf</translation>
    </message>
    <message>
        <source>Before</source>
        <translation>Vorher</translation>
    </message>
    <message>
        <source>Now</source>
        <translation>Jetzt</translation>
    </message>
    <message>
        <source>Change</source>
        <translation>Veränderung</translation>
    </message>
    <message>
        <source>Figures and what became of them</source>
        <translation>Werte und was aus ihnen wurde</translation>
    </message>
    <message>
        <source>–</source>
        <translation>–</translation>
    </message>
    <message>
        <source>last told on %1: %2</source>
        <translation>zuletzt erkannt am %1: %2</translation>
    </message>
    <message>
        <source>Fewer</source>
        <translation>Weniger</translation>
    </message>
    <message numerus="yes">
        <source>%n without a change that can be told</source>
        <translation>
            <numerusform>Einer ohne erkennbare Veränderung</numerusform>
            <numerusform>%n ohne erkennbare Veränderung</numerusform>
        </translation>
    </message>
    <message>
        <source>Asked on %1, and what became of it</source>
        <translation>Gebeten am %1, und was daraus wurde</translation>
    </message>
    <message>
        <source>told by no clip</source>
        <translation>von keinem Clip erkannt</translation>
    </message>
    <message>
        <source>no clip since that tells it</source>
        <translation>seither kein Clip, der es erkennen lässt</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Figures without a change that can be told</source>
        <translation>Werte ohne erkennbare Veränderung</translation>
    </message>
</context>
<context>
    <name>bevel::ui::ClassFacts</name>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Hall</source>
        <translation>Halle</translation>
    </message>
    <message>
        <source>Weekday</source>
        <translation>Wochentag</translation>
    </message>
    <message>
        <source>no fixed day</source>
        <translation>kein fester Tag</translation>
    </message>
    <message>
        <source>Begins at</source>
        <translation>Beginnt um</translation>
    </message>
    <message>
        <source>Minutes</source>
        <translation>Minuten</translation>
    </message>
    <message>
        <source> min</source>
        <translation> min</translation>
    </message>
    <message>
        <source>Level</source>
        <translation>Stufe</translation>
    </message>
    <message>
        <source>Taught up to</source>
        <translation>Gelehrt bis</translation>
    </message>
    <message>
        <source>chairs</source>
        <translation>Stühle</translation>
    </message>
    <message>
        <source>a wall</source>
        <translation>eine Wand</translation>
    </message>
    <message>
        <source>sticks</source>
        <translation>Stöcke</translation>
    </message>
    <message>
        <source>At hand</source>
        <translation>Zur Hand</translation>
    </message>
    <message>
        <source>Notes</source>
        <translation>Notizen</translation>
    </message>
    <message>
        <source>Remove this class …</source>
        <translation>Diese Gruppe entfernen …</translation>
    </message>
    <message>
        <source>Who belongs to the class</source>
        <translation>Wer zur Gruppe gehört</translation>
    </message>
    <message>
        <source>Hand it over</source>
        <translation>Weitergeben</translation>
    </message>
    <message>
        <source>As a file, with names …</source>
        <translation>Als Datei, mit Namen …</translation>
    </message>
    <message>
        <source>As a file, without names and notes …</source>
        <translation>Als Datei, ohne Namen und Notizen …</translation>
    </message>
    <message>
        <source>Floor</source>
        <translation>Boden</translation>
    </message>
    <message>
        <source>wood, stone, mats, uneven …</source>
        <translation>Holz, Stein, Matten, uneben …</translation>
    </message>
    <message>
        <source>On paper (PDF), with names …</source>
        <translation>Auf Papier (PDF), mit Namen …</translation>
    </message>
</context>
<context>
    <name>bevel::ui::ClassesPage</name>
    <message>
        <source>About the class</source>
        <translation>Über die Gruppe</translation>
    </message>
    <message>
        <source>Lesson</source>
        <translation>Stunde</translation>
    </message>
    <message>
        <source>Class</source>
        <translation>Gruppe</translation>
    </message>
    <message>
        <source>In common</source>
        <translation>Gemeinsames</translation>
    </message>
    <message>
        <source>No class yet</source>
        <translation>Noch keine Gruppe</translation>
    </message>
    <message>
        <source>A class is people who practise together: one plan for all of them, and for each who needs it another way of the same thing at the same moment.</source>
        <translation>Eine Gruppe sind Menschen, die zusammen üben: ein Plan für alle, und für jeden, der es braucht, im selben Moment eine andere Weise derselben Sache.</translation>
    </message>
    <message>
        <source>A new class …</source>
        <translation>Eine neue Gruppe …</translation>
    </message>
    <message>
        <source>Remove the class</source>
        <translation>Gruppe entfernen</translation>
    </message>
    <message>
        <source>The class and the record of its lessons go. Its people, their clips and letters stay.</source>
        <translation>Die Gruppe und die Aufzeichnungen ihrer Stunden gehen. Ihre Menschen, deren Aufnahmen und Briefe bleiben.</translation>
    </message>
    <message>
        <source>the class</source>
        <translation>die Gruppe</translation>
    </message>
    <message>
        <source>the lesson</source>
        <translation>die Stunde</translation>
    </message>
    <message>
        <source>Classes</source>
        <translation>Gruppen</translation>
    </message>
    <message>
        <source>%1
%2</source>
        <comment>name, when</comment>
        <translation>%1
%2</translation>
    </message>
    <message>
        <source>A new class</source>
        <translation>Eine neue Gruppe</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Propose a lesson</source>
        <translation>Stunde vorschlagen</translation>
    </message>
    <message>
        <source>Hold the lesson</source>
        <translation>Die Stunde halten</translation>
    </message>
    <message>
        <source>Course</source>
        <translation>Kurs</translation>
    </message>
    <message>
        <source>Hand it over</source>
        <translation>Weitergeben</translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation>PDF (*.pdf)</translation>
    </message>
    <message>
        <source>Class (*.bevelclass)</source>
        <translation>Gruppe (*.bevelclass)</translation>
    </message>
    <message>
        <source>Take one over …</source>
        <translation>Übernehmen …</translation>
    </message>
    <message>
        <source>A class that a colleague handed over as a file</source>
        <translation>Eine Gruppe, die jemand als Datei weitergegeben hat</translation>
    </message>
    <message>
        <source>Saved: %1. It names what people may not do: give it to nobody but whoever leads them.</source>
        <translation>Gespeichert: %1. Darin steht, was Menschen nicht tun dürfen: Geben Sie es nur an die weiter, die sie anleiten.</translation>
    </message>
    <message>
        <source>Take over a class</source>
        <translation>Eine Gruppe übernehmen</translation>
    </message>
    <message>
        <source>Class (*.bevelclass);;All files (*)</source>
        <translation>Gruppe (*.bevelclass);;Alle Dateien (*)</translation>
    </message>
    <message>
        <source>%1 is no class that can be taken over: %2</source>
        <translation>%1 ist keine Gruppe, die übernommen werden kann: %2</translation>
    </message>
    <message>
        <source>Handed over with the class.</source>
        <translation>Mit der Gruppe übergeben.</translation>
    </message>
    <message>
        <source>Take over a class …</source>
        <translation>Eine Gruppe übernehmen …</translation>
    </message>
</context>
<context>
    <name>bevel::ui::ClipForm</name>
    <message>
        <source>the facts of a clip</source>
        <translation>die Angaben zu einer Aufnahme</translation>
    </message>
    <message>
        <source>Student</source>
        <translation>Übende</translation>
    </message>
    <message>
        <source>Choose a student, or type a new name</source>
        <translation>Jemanden wählen oder einen neuen Namen schreiben</translation>
    </message>
    <message>
        <source>Whose practice is it?</source>
        <translation>Wer übt hier?</translation>
    </message>
    <message>
        <source>Height</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source> in</source>
        <translation> in</translation>
    </message>
    <message>
        <source> cm</source>
        <translation> cm</translation>
    </message>
    <message>
        <source>Movement</source>
        <translation>Bewegung</translation>
    </message>
    <message>
        <source>Filmed from</source>
        <translation>Gefilmt von</translation>
    </message>
    <message>
        <source>told from the clip</source>
        <translation>aus der Aufnahme ersehen</translation>
    </message>
    <message>
        <source>the front</source>
        <translation>vorn</translation>
    </message>
    <message>
        <source>the back</source>
        <translation>hinten</translation>
    </message>
    <message>
        <source>the student&apos;s left</source>
        <translation>der linken Seite</translation>
    </message>
    <message>
        <source>the student&apos;s right</source>
        <translation>der rechten Seite</translation>
    </message>
    <message>
        <source>School</source>
        <translation>Schule</translation>
    </message>
    <message>
        <source>the movement&apos;s own bands</source>
        <translation>die Bereiche der Bewegung</translation>
    </message>
    <message>
        <source>The picture is mirrored</source>
        <translation>Das Bild ist gespiegelt</translation>
    </message>
    <message>
        <source>A front camera often shows left and right swapped; it is undone before anything is measured</source>
        <translation>Eine Frontkamera vertauscht oft links und rechts; das wird vor dem Messen zurückgenommen</translation>
    </message>
    <message>
        <source>Clips stay on this computer.</source>
        <translation>Aufnahmen bleiben auf diesem Rechner.</translation>
    </message>
    <message>
        <source>Choose clips</source>
        <translation>Aufnahmen wählen</translation>
    </message>
    <message>
        <source>Clips (%1);;All files (*)</source>
        <translation>Aufnahmen (%1);;Alle Dateien (*)</translation>
    </message>
    <message>
        <source>No clip in it: Bevel reads MP4, MOV, WebM, MKV, AVI and M4V.</source>
        <translation>Keine Aufnahme darin: Bevel liest MP4, MOV, WebM, MKV, AVI und M4V.</translation>
    </message>
    <message>
        <source>Choose another file …</source>
        <translation>Andere Datei wählen …</translation>
    </message>
    <message>
        <source>Save and judge again</source>
        <translation>Speichern, neu beurteilen</translation>
    </message>
    <message>
        <source>Try again</source>
        <translation>Noch einmal</translation>
    </message>
    <message>
        <source>Take clips in …</source>
        <translation>Aufnahmen hereinnehmen …</translation>
    </message>
    <message>
        <source>It is the guess number %1</source>
        <translation>Es ist die Vermutung Nummer %1</translation>
    </message>
    <message numerus="yes">
        <source>%n clip(s) taken in.</source>
        <translation>
            <numerusform>%n Aufnahme hereingenommen.</numerusform>
            <numerusform>%n Aufnahmen hereingenommen.</numerusform>
        </translation>
    </message>
    <message>
        <source>Take in once more</source>
        <translation>Noch einmal hereinnehmen</translation>
    </message>
    <message>
        <source>No clip is chosen</source>
        <translation>Keine Aufnahme gewählt</translation>
    </message>
    <message>
        <source>Drop clips here, or take them in: the body is found by itself, then you say whose it is.</source>
        <translation>Aufnahmen hierher ziehen oder hereinnehmen: der Körper wird von selbst gefunden, dann wird gesagt, wer es ist.</translation>
    </message>
    <message>
        <source>%1&apos;s clip</source>
        <translation>Aufnahme von %1</translation>
    </message>
    <message>
        <source>%1 (%2 % likely)</source>
        <translation>%1 (zu %2 %)</translation>
    </message>
    <message>
        <source>somebody new</source>
        <translation>jemand Neues</translation>
    </message>
    <message>
        <source>%1  %2 (%3 % likely)</source>
        <translation>%1  %2 (zu %3 %)</translation>
    </message>
    <message>
        <source>Guessed, %1 % sure whose it is. Right? Then press Enter.</source>
        <translation>Vermutet, zu %1 % sicher, wer es ist. Stimmt es? Dann Eingabe drücken.</translation>
    </message>
    <message>
        <source>Whose is it? Choose with Alt+1 to 3, or type a name; then Enter.</source>
        <translation>Wer ist es? Mit Alt+1 bis 3 wählen oder einen Namen schreiben; dann Eingabe.</translation>
    </message>
    <message>
        <source>Seen %1.</source>
        <translation>Gesehen %1.</translation>
    </message>
    <message>
        <source>You can say whose it is now, or when the body has been found.</source>
        <translation>Wer es ist, kann jetzt gesagt werden oder wenn der Körper gefunden ist.</translation>
    </message>
    <message>
        <source>whose?</source>
        <translation>wer?</translation>
    </message>
    <message>
        <source>That is right</source>
        <translation>Das stimmt</translation>
    </message>
    <message>
        <source>Save</source>
        <translation>Speichern</translation>
    </message>
    <message>
        <source>Look for the body again</source>
        <translation>Den Körper noch einmal suchen</translation>
    </message>
    <message>
        <source>Say whose practice it is and which movement</source>
        <translation>Sagen, wer übt und welche Bewegung</translation>
    </message>
    <message>
        <source>Judging …</source>
        <translation>Wird beurteilt …</translation>
    </message>
    <message>
        <source>%1?</source>
        <translation>%1?</translation>
    </message>
    <message>
        <source>Second view</source>
        <translation>Zweite Ansicht</translation>
    </message>
    <message>
        <source>A clip of the same movement from another side: both are judged together, each figure by the one that tells it</source>
        <translation>Ein Clip derselben Bewegung von einer anderen Seite: beide werden gemeinsam beurteilt, jede Zahl nach dem, der sie zeigt</translation>
    </message>
    <message>
        <source>On the feet</source>
        <translation>An den Füßen</translation>
    </message>
    <message>
        <source>feet: not said</source>
        <translation>Füße: k. A.</translation>
    </message>
    <message>
        <source>barefoot</source>
        <translation>barfuß</translation>
    </message>
    <message>
        <source>socks</source>
        <translation>Socken</translation>
    </message>
    <message>
        <source>soft soles</source>
        <translation>weiche Sohlen</translation>
    </message>
    <message>
        <source>firm soles</source>
        <translation>feste Sohlen</translation>
    </message>
    <message>
        <source>The floor</source>
        <translation>Der Boden</translation>
    </message>
    <message>
        <source>floor: not said</source>
        <translation>Boden: k. A.</translation>
    </message>
    <message>
        <source>slippery</source>
        <translation>rutschig</translation>
    </message>
    <message>
        <source>smooth</source>
        <translation>glatt</translation>
    </message>
    <message>
        <source>rough</source>
        <translation>rau</translation>
    </message>
    <message>
        <source>Where a foot pivots, it matters what it stands in and on</source>
        <translation>Wo ein Fuß dreht, zählt, worin und worauf er steht</translation>
    </message>
    <message>
        <source>Student and height</source>
        <translation>Übende Person und Größe</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keine</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>as the clip shows</source>
        <translation>wie der Clip zeigt</translation>
    </message>
    <message numerus="yes">
        <source>%n clip(s) there already.</source>
        <translation>
            <numerusform>%n Clip war schon da.</numerusform>
            <numerusform>%n Clips waren schon da.</numerusform>
        </translation>
    </message>
    <message>
        <source>Both sides: %1 left, %2 right.</source>
        <translation>Beide Seiten: %1 links, %2 rechts.</translation>
    </message>
    <message>
        <source>The left side only.</source>
        <translation>Nur die linke Seite.</translation>
    </message>
    <message>
        <source>The right side only.</source>
        <translation>Nur die rechte Seite.</translation>
    </message>
    <message>
        <source>Energy that day, 0 to 10</source>
        <translation>Kraft an dem Tag, 0 bis 10</translation>
    </message>
    <message>
        <source>energy </source>
        <translation>Kraft </translation>
    </message>
    <message>
        <source>Pain that day: where</source>
        <translation>Schmerz an dem Tag: wo</translation>
    </message>
    <message>
        <source>pain: where?</source>
        <translation>Schmerz: wo?</translation>
    </message>
    <message>
        <source>As the student says it. Pain means stop or make it smaller; where it stays, a licensed clinician is asked.</source>
        <translation>Wie der Schüler es sagt. Schmerz heißt aufhören oder kleiner machen; bleibt er, wird eine Fachperson gefragt.</translation>
    </message>
    <message>
        <source>Done as</source>
        <translation>Ausgeführt als</translation>
    </message>
    <message>
        <source>An easier way to do the movement: the clip is held against that</source>
        <translation>Eine leichtere Art der Bewegung: der Clip wird an ihr gemessen</translation>
    </message>
    <message>
        <source>as it is taught</source>
        <translation>wie es gelehrt wird</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>so wie sie ist</translation>
    </message>
    <message>
        <source>Something else: figures and safety only</source>
        <translation>Etwas anderes: nur Zahlen und Sicherheit</translation>
    </message>
    <message>
        <source>Form: %1</source>
        <translation>Form: %1</translation>
    </message>
    <message>
        <source>height?</source>
        <translation>Größe?</translation>
    </message>
    <message>
        <source>The student&apos;s own height gives the scale of the picture. Nobody knows it? Then lengths are told by the spread of grown people, a twentieth less surely; angles and shares do not need it.</source>
        <translation>Die eigene Körpergröße gibt den Maßstab des Bildes. Niemand kennt sie? Dann werden Längen nach der Streuung Erwachsener angegeben, um ein Zwanzigstel unsicherer; Winkel und Anteile brauchen sie nicht.</translation>
    </message>
    <message>
        <source>energy: not said</source>
        <translation>Energie: nicht gesagt</translation>
    </message>
    <message>
        <source>%1, as the file is named</source>
        <translation>%1, wie die Datei heißt</translation>
    </message>
    <message>
        <source>The name in the name of the file</source>
        <translation>Der Name im Namen der Datei</translation>
    </message>
    <message>
        <source>Delete this one …</source>
        <translation>Diese löschen …</translation>
    </message>
    <message>
        <source>They are two</source>
        <translation>Es sind zwei</translation>
    </message>
    <message>
        <source>came on %1</source>
        <translation>gekommen am %1</translation>
    </message>
    <message>
        <source>The same film seems to be here already: %1.</source>
        <translation>Derselbe Film scheint schon da zu sein: %1.</translation>
    </message>
    <message>
        <source>Another phone heard the same at that time: %1. Both may show one performance.</source>
        <translation>Ein anderes Telefon hat zur selben Zeit dasselbe gehört: %1. Beide zeigen vielleicht eine einzige Ausführung.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::ColumnView</name>
    <message>
        <source>From the ground up</source>
        <translation>Vom Boden aufwärts</translation>
    </message>
    <message>
        <source>Feet at the bottom, breath and tempo on top; keys 1 to 8 count from the ground</source>
        <translation>Füße unten, Atem und Tempo oben; die Tasten 1 bis 8 zählen vom Boden</translation>
    </message>
    <message>
        <source>no check</source>
        <translation>keine Prüfung</translation>
    </message>
    <message>
        <source>%1: %2 in this repetition</source>
        <translation>%1: %2 in dieser Wiederholung</translation>
    </message>
    <message>
        <source>%1: this movement has no check here</source>
        <translation>%1: diese Bewegung hat hier keine Prüfung</translation>
    </message>
</context>
<context>
    <name>bevel::ui::CommonView</name>
    <message>
        <source>Clips since this day</source>
        <translation>Aufnahmen seit diesem Tag</translation>
    </message>
    <message>
        <source>Clips since</source>
        <translation>Aufnahmen seit</translation>
    </message>
    <message>
        <source>What is seen</source>
        <translation>Was zu sehen ist</translation>
    </message>
    <message>
        <source>Of how many</source>
        <translation>Bei wie vielen</translation>
    </message>
    <message>
        <source>How sure</source>
        <translation>Wie sicher</translation>
    </message>
    <message>
        <source>Most in</source>
        <translation>Meist in</translation>
    </message>
    <message>
        <source>Who</source>
        <translation>Wer</translation>
    </message>
    <message>
        <source>What most of them miss</source>
        <translation>Was die meisten verfehlen</translation>
    </message>
    <message>
        <source>Before that day and since</source>
        <translation>Vor diesem Tag und seither</translation>
    </message>
    <message>
        <source>Work on it in the next lesson</source>
        <translation>In der nächsten Stunde daran arbeiten</translation>
    </message>
    <message>
        <source>Copy a letter to the class</source>
        <translation>Brief an die Gruppe kopieren</translation>
    </message>
    <message>
        <source>One thing for all; nobody is named, and no share of fewer than five people</source>
        <translation>Eine Sache für alle; niemand wird genannt, und kein Anteil von weniger als fünf Menschen</translation>
    </message>
    <message>
        <source>The letter is in the clipboard.</source>
        <translation>Der Brief ist in der Zwischenablage.</translation>
    </message>
    <message>
        <source>What became of it</source>
        <translation>Was daraus wurde</translation>
    </message>
    <message>
        <source>Nothing that two or more of them miss for sure.</source>
        <translation>Nichts, was zwei oder mehr von ihnen sicher verfehlen.</translation>
    </message>
    <message>
        <source>Of each the newest clip of a movement counts. Those who do not tell a thing are not counted in it.</source>
        <translation>Von jedem zählt die neueste Aufnahme einer Bewegung. Wessen Aufnahmen etwas nicht erkennen lassen, wird darin nicht gezählt.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::CorrectionSheet</name>
    <message>
        <source>The chosen correction</source>
        <translation>Die gewählte Korrektur</translation>
    </message>
    <message>
        <source>Correction %1</source>
        <translation>Korrektur %1</translation>
    </message>
</context>
<context>
    <name>bevel::ui::CourseForm</name>
    <message>
        <source>Whose course it is</source>
        <translation>Wessen Kurs es ist</translation>
    </message>
    <message>
        <source>Title of the course</source>
        <translation>Titel des Kurses</translation>
    </message>
    <message>
        <source>Title, as it stands on the sheet</source>
        <translation>Titel, wie er auf dem Blatt steht</translation>
    </message>
    <message>
        <source>Whose, and called what</source>
        <translation>Für wen, und wie er heißt</translation>
    </message>
    <message>
        <source>First day</source>
        <translation>Erster Tag</translation>
    </message>
    <message>
        <source>Weeks</source>
        <translation>Wochen</translation>
    </message>
    <message>
        <source> weeks</source>
        <translation> Wochen</translation>
    </message>
    <message>
        <source>Lessons a week</source>
        <translation>Stunden je Woche</translation>
    </message>
    <message>
        <source> × lesson</source>
        <translation> × Stunde</translation>
    </message>
    <message>
        <source>Minutes of a lesson</source>
        <translation>Minuten einer Stunde</translation>
    </message>
    <message>
        <source>Days at home a week</source>
        <translation>Tage zu Hause je Woche</translation>
    </message>
    <message>
        <source> × at home</source>
        <translation> × zu Hause</translation>
    </message>
    <message>
        <source>Minutes of a day at home</source>
        <translation>Minuten eines Tages zu Hause</translation>
    </message>
    <message>
        <source> min</source>
        <translation> min</translation>
    </message>
    <message>
        <source>What becomes of a missed week</source>
        <translation>Was aus einer ausgefallenen Woche wird</translation>
    </message>
    <message>
        <source>From when, and how much</source>
        <translation>Ab wann, und wie viel</translation>
    </message>
    <message>
        <source>A movement to learn</source>
        <translation>Eine Bewegung zum Lernen</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Dazu</translation>
    </message>
    <message>
        <source>Add this movement to what is to be learned</source>
        <translation>Diese Bewegung zu dem nehmen, was gelernt werden soll</translation>
    </message>
    <message>
        <source>To be learned; Delete takes one out</source>
        <translation>Zu lernen; Entf nimmt eine heraus</translation>
    </message>
    <message>
        <source>Delete or a double click takes one out</source>
        <translation>Entf oder ein Doppelklick nimmt eine heraus</translation>
    </message>
    <message>
        <source>To be learned</source>
        <translation>Zu lernen</translation>
    </message>
    <message>
        <source>A form that grows over the weeks</source>
        <translation>Eine Form, die über die Wochen wächst</translation>
    </message>
    <message>
        <source>A form that grows over the weeks: 1, 1–2, 1–3 …</source>
        <translation>Eine Form, die über die Wochen wächst: 1, 1–2, 1–3 …</translation>
    </message>
    <message>
        <source>How many of its parts are known at the start</source>
        <translation>Wie viele ihrer Teile am Anfang bekannt sind</translation>
    </message>
    <message>
        <source>known: </source>
        <translation>bekannt: </translation>
    </message>
    <message>
        <source>all of it is new</source>
        <translation>alles davon ist neu</translation>
    </message>
    <message>
        <source>no form</source>
        <translation>keine Form</translation>
    </message>
    <message>
        <source>Theme: %1</source>
        <translation>Thema: %1</translation>
    </message>
    <message>
        <source>With it the course has a ladder of balance, a step at a time</source>
        <translation>Damit hat der Kurs eine Leiter des Gleichgewichts, Stufe um Stufe</translation>
    </message>
    <message>
        <source>Themes</source>
        <translation>Themen</translation>
    </message>
    <message>
        <source>chair</source>
        <translation>Stuhl</translation>
    </message>
    <message>
        <source>At hand: %1</source>
        <translation>Zur Hand: %1</translation>
    </message>
    <message>
        <source>wall</source>
        <translation>Wand</translation>
    </message>
    <message>
        <source>stick</source>
        <translation>Stab</translation>
    </message>
    <message>
        <source>At hand</source>
        <translation>Zur Hand</translation>
    </message>
    <message>
        <source>choose a person</source>
        <translation>eine Person wählen</translation>
    </message>
    <message>
        <source>missed: the rest slides</source>
        <translation>Ausfall: schiebt den Rest</translation>
    </message>
    <message>
        <source>missed: folded in</source>
        <translation>Ausfall: geht auf</translation>
    </message>
    <message>
        <source>Called what</source>
        <translation>Wie er heißt</translation>
    </message>
</context>
<context>
    <name>bevel::ui::CourseView</name>
    <message>
        <source>The course of the movement in time</source>
        <translation>Der Verlauf der Bewegung in der Zeit</translation>
    </message>
    <message>
        <source>Weight from the left foot (above) to the right, breath, and one measure with its bands; a click goes to that moment</source>
        <translation>Gewicht vom linken Fuß (oben) zum rechten, Atem und ein Maß mit seinen Spannen; ein Klick geht zu diesem Augenblick</translation>
    </message>
    <message>
        <source>in</source>
        <translation>ein</translation>
    </message>
    <message>
        <source>out</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>The course is being told …</source>
        <translation>Der Verlauf wird ermittelt …</translation>
    </message>
</context>
<context>
    <name>bevel::ui::DoneLine</name>
    <message>
        <source>Undo</source>
        <translation>Rückgängig</translation>
    </message>
    <message>
        <source>Done: %1</source>
        <translation>Getan: %1</translation>
    </message>
</context>
<context>
    <name>bevel::ui::EveningView</name>
    <message>
        <source>Begin</source>
        <translation>Beginnen</translation>
    </message>
    <message>
        <source>F6 opens the next one, from anywhere</source>
        <translation>F6 öffnet überall den nächsten</translation>
    </message>
    <message>
        <source>Clips that wait</source>
        <translation>Wartende Clips</translation>
    </message>
    <message>
        <source>Nobody waits. Drop clips anywhere; once the body was found in them they stand here, the longest wait first.</source>
        <translation>Niemand wartet. Lass Clips irgendwo fallen; ist der Körper gefunden, stehen sie hier, der längste zuerst.</translation>
    </message>
    <message>
        <source>Asked for a new clip, and none came</source>
        <translation>Um einen neuen Clip gebeten, und keiner kam</translation>
    </message>
    <message numerus="yes">
        <source>about %n minute(s) at your pace</source>
        <translation>
            <numerusform>etwa %n Minute in deinem Tempo</numerusform>
            <numerusform>etwa %n Minuten in deinem Tempo</numerusform>
        </translation>
    </message>
    <message>
        <source>came today</source>
        <translation>kam heute</translation>
    </message>
    <message numerus="yes">
        <source>waits for %n day(s)</source>
        <translation>
            <numerusform>wartet seit %n Tag</numerusform>
            <numerusform>wartet seit %n Tagen</numerusform>
        </translation>
    </message>
    <message>
        <source>Whose is it? · %1</source>
        <translation>Wer ist es? · %1</translation>
    </message>
    <message>
        <source>person and movement are yet to be said</source>
        <translation>Person und Bewegung sind noch zu sagen</translation>
    </message>
    <message>
        <source>nothing was asked before</source>
        <translation>zuvor wurde nichts erbeten</translation>
    </message>
    <message>
        <source>asked on %1: %2</source>
        <translation>erbeten am %1: %2</translation>
    </message>
    <message>
        <source>%1 · %2 · by %3</source>
        <translation>%1 · %2 · bis %3</translation>
    </message>
    <message numerus="yes">
        <source>about %n minute(s), at three for a letter</source>
        <translation>
            <numerusform>etwa %n Minute, bei drei je Brief</numerusform>
            <numerusform>etwa %n Minuten, bei drei je Brief</numerusform>
        </translation>
    </message>
    <message>
        <source>since yesterday</source>
        <translation>seit gestern</translation>
    </message>
    <message>
        <source>one of %1 of this visit</source>
        <translation>einer von %1 dieses Besuchs</translation>
    </message>
    <message>
        <source>One clip waits</source>
        <translation>Ein Clip wartet</translation>
    </message>
    <message>
        <source>%1 clips wait</source>
        <translation>%1 Clips warten</translation>
    </message>
</context>
<context>
    <name>bevel::ui::FigureView</name>
    <message>
        <source>The figure doing the movement</source>
        <translation>Die Figur bei der Bewegung</translation>
    </message>
    <message>
        <source>Drag sideways to see it from another side</source>
        <translation>Seitwärts ziehen, um sie von einer anderen Seite zu sehen</translation>
    </message>
    <message>
        <source>from above</source>
        <translation>von oben</translation>
    </message>
    <message>
        <source>as it is meant</source>
        <translation>wie sie gemeint ist</translation>
    </message>
    <message>
        <source>with the fault</source>
        <translation>mit dem Fehler</translation>
    </message>
    <message>
        <source>The picture is being made …</source>
        <translation>Das Bild entsteht …</translation>
    </message>
    <message>
        <source>standing quietly</source>
        <translation>ruhiger Stand</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>breath %1</source>
        <translation>Atem %1</translation>
    </message>
    <message>
        <source>%1. %2 (%3)</source>
        <comment>number of a part of a form, its name, the side that leads</comment>
        <translation>%1. %2 (%3)</translation>
    </message>
    <message>
        <source>sitting quietly</source>
        <translation>ruhiger Sitz</translation>
    </message>
</context>
<context>
    <name>bevel::ui::FiguresTable</name>
    <message>
        <source>Figures at this frame</source>
        <translation>Werte auf diesem Bild</translation>
    </message>
    <message>
        <source>At this frame</source>
        <translation>Auf diesem Bild</translation>
    </message>
    <message>
        <source>Student</source>
        <translation>Übende</translation>
    </message>
    <message>
        <source>Ref.</source>
        <translation>Ref.</translation>
    </message>
    <message>
        <source>Off</source>
        <translation>Abw.</translation>
    </message>
    <message>
        <source>Band</source>
        <translation>Bereich</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>%1: how long it took, against the reference</source>
        <translation>%1: wie lange es dauerte, gegen die Referenz</translation>
    </message>
    <message>
        <source>Repetition, %1</source>
        <translation>Wiederholung, %1</translation>
    </message>
    <message>
        <source>Repetition</source>
        <translation>Wiederholung</translation>
    </message>
</context>
<context>
    <name>bevel::ui::FindingQueue</name>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>%1 frames/s · %2 s left</source>
        <translation>%1 Bilder/s · noch %2 s</translation>
    </message>
    <message>
        <source>all of them: %1 s</source>
        <translation>alle: %1 s</translation>
    </message>
    <message>
        <source>all of them: %1 min</source>
        <translation>alle: %1 min</translation>
    </message>
</context>
<context>
    <name>bevel::ui::FindingsColumn</name>
    <message>
        <source>Findings</source>
        <translation>Befunde</translation>
    </message>
    <message>
        <source>Which findings</source>
        <translation>Welche Befunde</translation>
    </message>
    <message>
        <source>What matters, from the ground up</source>
        <translation>Was zählt, vom Boden aufwärts</translation>
    </message>
    <message>
        <source>Go to %1</source>
        <translation>Gehe zu %1</translation>
    </message>
    <message>
        <source>%1 (%2). Rule %3. Click to go to the moment.</source>
        <translation>%1 (%2). Regel %3. Klick führt zum Augenblick.</translation>
    </message>
    <message>
        <source>Why</source>
        <translation>Warum</translation>
    </message>
    <message>
        <source>Why: %1</source>
        <translation>Warum: %1</translation>
    </message>
    <message>
        <source>What this rests on: moments, band and whose it is, parts of the error, what it may cause</source>
        <translation>Worauf es ruht: Augenblicke, Bereich und von wem, Teile des Fehlers, mögliche Folgen</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>Set aside</source>
        <translation>Weg</translation>
    </message>
    <message>
        <source>Reword</source>
        <translation>Anders</translation>
    </message>
    <message>
        <source>Notes: at the edge, seldom, or agreed</source>
        <translation>Vermerke: Rand, selten, vereinbart</translation>
    </message>
    <message>
        <source>Open a clip from Arrivals to see its findings.</source>
        <translation>Eine Aufnahme aus dem Eingang öffnen, um ihre Befunde zu sehen.</translation>
    </message>
    <message>
        <source>Nothing outside its band in this clip. Choose a part on the left to see what was held against which band.</source>
        <translation>In dieser Aufnahme liegt nichts außerhalb. Links einen Teil wählen, um zu sehen, was an welchen Bereich gehalten wurde.</translation>
    </message>
    <message>
        <source>The movement has no check for this part.</source>
        <translation>Die Bewegung hat für diesen Teil keine Prüfung.</translation>
    </message>
    <message>
        <source>Agreed</source>
        <translation>Vereinbart</translation>
    </message>
    <message>
        <source>Change …</source>
        <translation>Ändern …</translation>
    </message>
    <message>
        <source>Change: %1</source>
        <translation>Ändern: %1</translation>
    </message>
    <message>
        <source>Take out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>Take out: %1</source>
        <translation>Herausnehmen: %1</translation>
    </message>
    <message>
        <source>Asked last time (%1)</source>
        <translation>Zuletzt erbeten (%1)</translation>
    </message>
    <message>
        <source>energy %1 of 10</source>
        <translation>Kraft %1 von 10</translation>
    </message>
    <message>
        <source>pain: %1</source>
        <translation>Schmerz: %1</translation>
    </message>
    <message>
        <source>taught up to “%1”</source>
        <translation>gelehrt bis „%1“</translation>
    </message>
    <message>
        <source>That day: %1</source>
        <translation>An dem Tag: %1</translation>
    </message>
    <message>
        <source>taught as “%1”</source>
        <translation>gelehrt als „%1“</translation>
    </message>
    <message>
        <source>None of the forms, and both feet are never still for long: all figures are measured, nothing is judged.</source>
        <translation>Keine der Formen, und nie stehen beide Füße länger still: Alle Zahlen sind gemessen, nichts wird beurteilt.</translation>
    </message>
    <message>
        <source>None of the forms: all figures are measured. Where both feet stand still it is looked at whether it may hurt; what is said counts unless it was meant.</source>
        <translation>Keine der Formen: Alle Zahlen sind gemessen. Wo beide Füße still stehen, wird geprüft, ob es schaden kann; was dort steht, gilt, sofern es nicht so gemeint war.</translation>
    </message>
    <message>
        <source>Nothing is judged.</source>
        <translation>Nichts wird beurteilt.</translation>
    </message>
    <message>
        <source>All about: %1</source>
        <translation>Alles über: %1</translation>
    </message>
    <message>
        <source>%1 · asked: %2</source>
        <translation>%1 · verlangt: %2</translation>
    </message>
    <message>
        <source>Safety</source>
        <translation>Sicherheit</translation>
    </message>
    <message>
        <source>The other clip says otherwise: look at Why.</source>
        <translation>Der andere Clip sagt etwas anderes: siehe Warum.</translation>
    </message>
    <message>
        <source>For certain, but seldom: a note, not a correction.</source>
        <translation>Gewiss, aber selten: ein Hinweis, keine Korrektur.</translation>
    </message>
    <message>
        <source>Outside the usual band, inside the one agreed with this student.</source>
        <translation>Außerhalb des üblichen Bereichs, innerhalb des mit dieser Person vereinbarten.</translation>
    </message>
    <message>
        <source>Asked last time, %1.</source>
        <translation>Letztes Mal gebeten, %1.</translation>
    </message>
    <message>
        <source>Asked in %1 letters since %2 and not better: try other words.</source>
        <translation>In %1 Briefen seit %2 darum gebeten und nicht besser: versuchen Sie andere Worte.</translation>
    </message>
    <message>
        <source>Asked in %1 letters since %2 and not better: try other words, or first the drill “%3”.</source>
        <translation>In %1 Briefen seit %2 darum gebeten und nicht besser: versuchen Sie andere Worte oder zuerst die Übung „%3“.</translation>
    </message>
    <message>
        <source>%1: not judged in this clip</source>
        <translation>%1: in diesem Clip nicht beurteilt</translation>
    </message>
    <message>
        <source>%1: cannot be told from this clip</source>
        <translation>%1: aus diesem Clip nicht zu erkennen</translation>
    </message>
    <message>
        <source>%1: within the band today</source>
        <translation>%1: heute im Bereich</translation>
    </message>
</context>
<context>
    <name>bevel::ui::FloorPathView</name>
    <message>
        <source>The way over the floor, from above</source>
        <translation>Der Weg über den Boden, von oben</translation>
    </message>
    <message>
        <source>Where the feet stand, from above, with the number of the part; a click goes to it</source>
        <translation>Wo die Füße stehen, von oben, mit der Nummer des Teils; ein Klick geht dorthin</translation>
    </message>
    <message>
        <source>Room: %1 m ahead, %2 m across</source>
        <comment>of a form, with the arms</comment>
        <translation>Platz: %1 m nach vorn, %2 m quer</translation>
    </message>
    <message>
        <source>The form is being laid out …</source>
        <translation>Die Form wird ausgelegt …</translation>
    </message>
    <message>
        <source>%1. %2</source>
        <comment>number and name of a part of a form</comment>
        <translation>%1. %2</translation>
    </message>
    <message>
        <source>begins with the %1 foot</source>
        <translation>beginnt mit dem Fuß: %1</translation>
    </message>
</context>
<context>
    <name>bevel::ui::FloorView</name>
    <message>
        <source>Floor plan</source>
        <translation>Grundriss</translation>
    </message>
    <message>
        <source>flat on the floor</source>
        <translation>flach auf dem Boden</translation>
    </message>
    <message>
        <source>on the heel</source>
        <translation>auf der Ferse</translation>
    </message>
    <message>
        <source>on the toes</source>
        <translation>auf den Zehen</translation>
    </message>
    <message>
        <source>off the floor</source>
        <translation>in der Luft</translation>
    </message>
    <message>
        <source>%1 foot</source>
        <translation>Fuß %1</translation>
    </message>
</context>
<context>
    <name>bevel::ui::FormEditor</name>
    <message>
        <source>Make a copy</source>
        <translation>Kopie anlegen</translation>
    </message>
    <message>
        <source>A movement of your own that begins as this one</source>
        <translation>Eine eigene Bewegung, die wie diese beginnt</translation>
    </message>
    <message>
        <source>As shipped</source>
        <translation>Wie geliefert</translation>
    </message>
    <message>
        <source>Takes back all of your own changes to this movement</source>
        <translation>Nimmt alle eigenen Änderungen an dieser Bewegung zurück</translation>
    </message>
    <message>
        <source>Export …</source>
        <translation>Ausgeben …</translation>
    </message>
    <message>
        <source>Writes the movement to a file, for another instructor</source>
        <translation>Schreibt die Bewegung in eine Datei, für andere Lehrende</translation>
    </message>
    <message>
        <source>Import …</source>
        <translation>Einlesen …</translation>
    </message>
    <message>
        <source>Reads a movement from a file</source>
        <translation>Liest eine Bewegung aus einer Datei</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>the name</source>
        <translation>der Name</translation>
    </message>
    <message>
        <source>What is done</source>
        <translation>Was getan wird</translation>
    </message>
    <message>
        <source>what is done</source>
        <translation>was getan wird</translation>
    </message>
    <message>
        <source>Points of attention, a line each</source>
        <translation>Worauf zu achten ist, je eine Zeile</translation>
    </message>
    <message>
        <source>the points of attention</source>
        <translation>worauf zu achten ist</translation>
    </message>
    <message>
        <source>Phase</source>
        <translation>Phase</translation>
    </message>
    <message>
        <source>Duration of the phase</source>
        <translation>Dauer der Phase</translation>
    </message>
    <message>
        <source> s</source>
        <translation> s</translation>
    </message>
    <message>
        <source>Breath in the phase</source>
        <translation>Atem in der Phase</translation>
    </message>
    <message>
        <source>A phase: how long, which breath</source>
        <translation>Eine Phase: wie lang, welcher Atem</translation>
    </message>
    <message>
        <source>the time of a phase</source>
        <translation>die Zeit einer Phase</translation>
    </message>
    <message>
        <source>the breath of a phase</source>
        <translation>der Atem einer Phase</translation>
    </message>
    <message>
        <source>Change the movement</source>
        <translation>Die Bewegung ändern</translation>
    </message>
    <message>
        <source>What is judged</source>
        <translation>Was beurteilt wird</translation>
    </message>
    <message>
        <source>At least</source>
        <translation>Mindestens</translation>
    </message>
    <message>
        <source>At most</source>
        <translation>Höchstens</translation>
    </message>
    <message>
        <source>Reason</source>
        <translation>Grund</translation>
    </message>
    <message>
        <source>Why: the reader of a review sees it</source>
        <translation>Warum: wer die Durchsicht liest, sieht es</translation>
    </message>
    <message>
        <source>Set the band</source>
        <translation>Bereich setzen</translation>
    </message>
    <message>
        <source>Take it back</source>
        <translation>Zurücknehmen</translation>
    </message>
    <message>
        <source>A band: from, to, why</source>
        <translation>Ein Bereich: von, bis, warum</translation>
    </message>
    <message>
        <source>As it came with Bevel. Any change makes it your own; it can be taken back.</source>
        <translation>Wie mit Bevel geliefert. Jede Änderung macht sie zur eigenen; sie lässt sich zurücknehmen.</translation>
    </message>
    <message>
        <source>Your own version; the shipped one is kept.</source>
        <translation>Die eigene Fassung; die gelieferte bleibt erhalten.</translation>
    </message>
    <message>
        <source>A movement of your own.</source>
        <translation>Eine eigene Bewegung.</translation>
    </message>
    <message>
        <source>Delete it</source>
        <translation>Löschen</translation>
    </message>
    <message>
        <source>Now %1, by %2</source>
        <translation>Jetzt %1, nach %2</translation>
    </message>
    <message>
        <source>Say why: the reader of a review sees it beside the band.</source>
        <translation>Bitte sagen, warum: Wer eine Durchsicht liest, sieht es neben dem Bereich.</translation>
    </message>
    <message>
        <source>The band is upside down.</source>
        <translation>Der Bereich steht auf dem Kopf.</translation>
    </message>
    <message>
        <source>a band taken back</source>
        <translation>ein zurückgenommener Bereich</translation>
    </message>
    <message>
        <source>a band</source>
        <translation>ein Bereich</translation>
    </message>
    <message>
        <source>Role of the phase</source>
        <translation>Rolle der Phase</translation>
    </message>
    <message>
        <source>Stance of the phase</source>
        <translation>Stand der Phase</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keine</translation>
    </message>
    <message>
        <source>The posture at its end</source>
        <translation>Die Haltung an ihrem Ende</translation>
    </message>
    <message>
        <source>posture: %1</source>
        <translation>Haltung: %1</translation>
    </message>
    <message>
        <source>before and after: where it begins and ends</source>
        <translation>davor und danach: wo sie beginnt und endet</translation>
    </message>
</context>
<context>
    <name>bevel::ui::FormStrip</name>
    <message>
        <source>Parts of the form</source>
        <translation>Teile der Form</translation>
    </message>
    <message>
        <source>Parts</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>Part %1, %2</source>
        <translation>Teil %1, %2</translation>
    </message>
</context>
<context>
    <name>bevel::ui::FormsPage</name>
    <message>
        <source>Forms</source>
        <translation>Formen</translation>
    </message>
    <message>
        <source>Search by any name</source>
        <translation>Nach jedem Namen suchen</translation>
    </message>
    <message>
        <source>Kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>every kind</source>
        <translation>jede Art</translation>
    </message>
    <message>
        <source>What it trains</source>
        <translation>Was sie übt</translation>
    </message>
    <message>
        <source>whatever it trains</source>
        <translation>was immer sie übt</translation>
    </message>
    <message>
        <source>trains: %1</source>
        <translation>übt: %1</translation>
    </message>
    <message>
        <source>What it asks of knees and balance</source>
        <translation>Was sie von Knien und Gleichgewicht verlangt</translation>
    </message>
    <message>
        <source>for everybody or not</source>
        <translation>für alle oder nicht</translation>
    </message>
    <message>
        <source>easy on the knees</source>
        <translation>leicht für die Knie</translation>
    </message>
    <message>
        <source>easy on the balance</source>
        <translation>leicht fürs Gleichgewicht</translation>
    </message>
    <message>
        <source>easy on both</source>
        <translation>leicht für beides</translation>
    </message>
    <message>
        <source>Movements</source>
        <translation>Bewegungen</translation>
    </message>
    <message>
        <source>Where in the movement</source>
        <translation>Wo in der Bewegung</translation>
    </message>
    <message>
        <source>Play</source>
        <translation>Spielen</translation>
    </message>
    <message>
        <source>Play or pause (Space)</source>
        <translation>Abspielen oder anhalten (Leertaste)</translation>
    </message>
    <message>
        <source>Speed</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>¼×</source>
        <translation>¼×</translation>
    </message>
    <message>
        <source>½×</source>
        <translation>½×</translation>
    </message>
    <message>
        <source>1×</source>
        <translation>1×</translation>
    </message>
    <message>
        <source>2×</source>
        <translation>2×</translation>
    </message>
    <message>
        <source>From which side it is seen</source>
        <translation>Von welcher Seite sie gesehen wird</translation>
    </message>
    <message>
        <source>From which side it is seen: the middle is the front</source>
        <translation>Von welcher Seite sie gesehen wird: die Mitte ist vorn</translation>
    </message>
    <message>
        <source>Show a fault beside the right one</source>
        <translation>Einen Fehler neben der richtigen zeigen</translation>
    </message>
    <message>
        <source>stance too narrow</source>
        <translation>Stand zu schmal</translation>
    </message>
    <message>
        <source>stance too wide</source>
        <translation>Stand zu weit</translation>
    </message>
    <message>
        <source>knee falls in</source>
        <translation>Knie fällt nach innen</translation>
    </message>
    <message>
        <source>knee past the toe</source>
        <translation>Knie über die Zehe</translation>
    </message>
    <message>
        <source>knee locked</source>
        <translation>Knie durchgedrückt</translation>
    </message>
    <message>
        <source>weight comes early</source>
        <translation>Gewicht kommt zu früh</translation>
    </message>
    <message>
        <source>shift not complete</source>
        <translation>Verlagerung unvollständig</translation>
    </message>
    <message>
        <source>leans forward</source>
        <translation>neigt nach vorn</translation>
    </message>
    <message>
        <source>leans to the side</source>
        <translation>neigt zur Seite</translation>
    </message>
    <message>
        <source>head ahead</source>
        <translation>Kopf vorgeschoben</translation>
    </message>
    <message>
        <source>shoulders run ahead of the hips</source>
        <translation>Schultern eilen den Hüften voraus</translation>
    </message>
    <message>
        <source>hurried shift</source>
        <translation>hastige Verlagerung</translation>
    </message>
    <message>
        <source>halting shift</source>
        <translation>stockende Verlagerung</translation>
    </message>
    <message>
        <source>hips turn while a foot is off</source>
        <translation>Hüften drehen, während ein Fuß abhebt</translation>
    </message>
    <message>
        <source>fault: %1</source>
        <translation>Fehler: %1</translation>
    </message>
    <message>
        <source>How large the fault is</source>
        <translation>Wie groß der Fehler ist</translation>
    </message>
    <message>
        <source>Pause</source>
        <translation>Pause</translation>
    </message>
    <message>
        <source>About the movement</source>
        <translation>Über die Bewegung</translation>
    </message>
    <message>
        <source>Phases</source>
        <translation>Phasen</translation>
    </message>
    <message>
        <source>Phase</source>
        <translation>Phase</translation>
    </message>
    <message>
        <source>Role</source>
        <translation>Rolle</translation>
    </message>
    <message>
        <source>Breath</source>
        <translation>Atem</translation>
    </message>
    <message>
        <source>s</source>
        <translation>s</translation>
    </message>
    <message>
        <source>School</source>
        <translation>Schule</translation>
    </message>
    <message>
        <source>the movement&apos;s own bands</source>
        <translation>die Bereiche der Bewegung</translation>
    </message>
    <message>
        <source>What it is judged by</source>
        <translation>Wonach sie beurteilt wird</translation>
    </message>
    <message>
        <source>About</source>
        <translation>Über</translation>
    </message>
    <message>
        <source>Rules</source>
        <translation>Regeln</translation>
    </message>
    <message numerus="yes">
        <source>%n movement(s)</source>
        <translation>
            <numerusform>%n Bewegung</numerusform>
            <numerusform>%n Bewegungen</numerusform>
        </translation>
    </message>
    <message>
        <source>Points of attention</source>
        <translation>Worauf zu achten ist</translation>
    </message>
    <message>
        <source>For the mind</source>
        <translation>Für die Vorstellung</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>nichts</translation>
    </message>
    <message>
        <source>a little</source>
        <translation>wenig</translation>
    </message>
    <message>
        <source>some</source>
        <translation>einiges</translation>
    </message>
    <message>
        <source>much</source>
        <translation>viel</translation>
    </message>
    <message>
        <source>Trains: %1.</source>
        <translation>Übt: %1.</translation>
    </message>
    <message>
        <source>Asks of the knees: %1; of the balance: %2.</source>
        <translation>Verlangt von den Knien: %1; vom Gleichgewicht: %2.</translation>
    </message>
    <message>
        <source>Filmed best %1.</source>
        <translation>Am besten gefilmt: %1.</translation>
    </message>
    <message>
        <source>Easier ways</source>
        <translation>Leichtere Weisen</translation>
    </message>
    <message>
        <source>Drills</source>
        <translation>Übungen dazu</translation>
    </message>
    <message>
        <source>helps with: %1</source>
        <translation>hilft bei: %1</translation>
    </message>
    <message>
        <source>Take care</source>
        <translation>Vorsicht</translation>
    </message>
    <message>
        <source>against the figure</source>
        <translation>gegen die Figur</translation>
    </message>
    <message>
        <source>Play or pause the figure</source>
        <translation>Die Figur abspielen oder anhalten</translation>
    </message>
    <message>
        <source>The figure from the front</source>
        <translation>Die Figur von vorn</translation>
    </message>
    <message>
        <source>The figure from its left</source>
        <translation>Die Figur von ihrer Linken</translation>
    </message>
    <message>
        <source>The figure from behind</source>
        <translation>Die Figur von hinten</translation>
    </message>
    <message>
        <source>The figure from its right</source>
        <translation>Die Figur von ihrer Rechten</translation>
    </message>
    <message>
        <source>Search the movements</source>
        <translation>Bewegungen suchen</translation>
    </message>
    <message>
        <source>Change</source>
        <translation>Ändern</translation>
    </message>
    <message>
        <source>your own version</source>
        <translation>die eigene Fassung</translation>
    </message>
    <message>
        <source>The movement&apos;s id cannot change.</source>
        <translation>Die Kennung der Bewegung kann sich nicht ändern.</translation>
    </message>
    <message>
        <source>That cannot be: %1</source>
        <translation>Das geht nicht: %1</translation>
    </message>
    <message>
        <source>%1, my way</source>
        <translation>%1, auf meine Art</translation>
    </message>
    <message>
        <source>a copy</source>
        <translation>eine Kopie</translation>
    </message>
    <message>
        <source>Export the movement</source>
        <translation>Die Bewegung ausgeben</translation>
    </message>
    <message>
        <source>Movements (*.json)</source>
        <translation>Bewegungen (*.json)</translation>
    </message>
    <message>
        <source>Saved: %1</source>
        <translation>Gespeichert: %1</translation>
    </message>
    <message>
        <source>That is no movement Bevel can read: %1</source>
        <translation>Das ist keine Bewegung, die Bevel lesen kann: %1</translation>
    </message>
    <message>
        <source>an imported movement</source>
        <translation>eine eingelesene Bewegung</translation>
    </message>
    <message>
        <source>Card of %1</source>
        <translation>Karte zu %1</translation>
    </message>
    <message>
        <source>PDF (*.pdf);;HTML (*.html)</source>
        <translation>PDF (*.pdf);;HTML (*.html)</translation>
    </message>
    <message>
        <source>Card of this movement …</source>
        <translation>Karte dieser Bewegung …</translation>
    </message>
    <message>
        <source>A sheet for students: the figure at its phases, feet, breath, what to attend to, cautions</source>
        <translation>Ein Blatt für Übende: die Figur in ihren Phasen, Füße, Atem, worauf zu achten ist, Vorsicht</translation>
    </message>
    <message>
        <source>From clips …</source>
        <translation>Aus Aufnahmen …</translation>
    </message>
    <message>
        <source>Your way of a movement, or one that is not among the forms: told from clips that show it</source>
        <translation>Deine Art einer Bewegung, oder eine, die noch fehlt: aus Aufnahmen gelernt, die sie zeigen</translation>
    </message>
    <message>
        <source>Schools …</source>
        <translation>Schulen …</translation>
    </message>
    <message>
        <source>What each school does in its own way and why; your own schools</source>
        <translation>Was jede Schule auf ihre Art macht und warum; eigene Schulen</translation>
    </message>
    <message>
        <source>As it was shown</source>
        <translation>Wie es gezeigt wurde</translation>
    </message>
    <message>
        <source>learned: %1</source>
        <translation>gelernt: %1</translation>
    </message>
    <message>
        <source>Shown at the end of “%1”, led by the %2</source>
        <translation>Gezeigt am Ende von „%1“, Seite: %2</translation>
    </message>
    <message numerus="yes">
        <source>%n repetition(s): %1</source>
        <translation>
            <numerusform>%n Wiederholung: %1</numerusform>
            <numerusform>%n Wiederholungen: %1</numerusform>
        </translation>
    </message>
    <message>
        <source>A movement from clips …</source>
        <translation>Eine Bewegung aus Aufnahmen …</translation>
    </message>
    <message>
        <source>%1: too much</source>
        <translation>%1: zu viel</translation>
    </message>
    <message>
        <source>%1: too little</source>
        <translation>%1: zu wenig</translation>
    </message>
    <message>
        <source>The figure cannot show this one.</source>
        <translation>Das kann die Figur nicht zeigen.</translation>
    </message>
    <message>
        <source>Graded version</source>
        <translation>Leichtere Fassung</translation>
    </message>
    <message>
        <source>An easier way: shown, judged and practised as a movement of its own</source>
        <translation>Eine leichtere Art: gezeigt, beurteilt und geübt als eigene Bewegung</translation>
    </message>
    <message>
        <source>Measure of the lane</source>
        <translation>Maß der Spur</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>so wie sie ist</translation>
    </message>
    <message>
        <source>Export the form</source>
        <translation>Form exportieren</translation>
    </message>
    <message>
        <source>Forms (*.json)</source>
        <translation>Formen (*.json)</translation>
    </message>
    <message>
        <source>Import a movement or a form</source>
        <translation>Bewegung oder Form importieren</translation>
    </message>
    <message>
        <source>Movements, forms (*.json)</source>
        <translation>Bewegungen, Formen (*.json)</translation>
    </message>
    <message>
        <source>an imported form</source>
        <translation>eine importierte Form</translation>
    </message>
    <message>
        <source>That is no form Bevel can read: %1</source>
        <translation>Das ist keine Form, die Bevel lesen kann: %1</translation>
    </message>
    <message>
        <source>Parts</source>
        <translation>Teile</translation>
    </message>
    <message>
        <source>Part</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>leads</source>
        <translation>führt</translation>
    </message>
    <message>
        <source>taught with</source>
        <translation>gelehrt mit</translation>
    </message>
    <message>
        <source>That cannot be done in one: %1</source>
        <translation>Das geht nicht in einem Zug: %1</translation>
    </message>
    <message numerus="yes">
        <source>%n part(s), %1 minutes</source>
        <translation>
            <numerusform>%n Teil, %1 Minuten</numerusform>
            <numerusform>%n Teile, %1 Minuten</numerusform>
        </translation>
    </message>
    <message>
        <source>It ends where it began.</source>
        <translation>Sie endet, wo sie begann.</translation>
    </message>
    <message>
        <source>It ends %1 m from where it began.</source>
        <translation>Sie endet %1 m von dort, wo sie begann.</translation>
    </message>
    <message>
        <source>Each part is judged by the rules of its own movement, which stand there. Between the parts the steps, the weight, the knees and the balance are looked at, and over the whole what is one fault in several parts.</source>
        <translation>Jeder Teil wird nach den Regeln seiner eigenen Bewegung beurteilt, die dort stehen. Zwischen den Teilen zählen Schritte, Gewicht, Knie und Gleichgewicht, und über das Ganze, was in mehreren Teilen ein und derselbe Fehler ist.</translation>
    </message>
    <message>
        <source>The form&apos;s id cannot change.</source>
        <translation>Die Kennung der Form kann sich nicht ändern.</translation>
    </message>
    <message>
        <source>My form</source>
        <translation>Meine Form</translation>
    </message>
    <message>
        <source>a new form</source>
        <translation>eine neue Form</translation>
    </message>
    <message>
        <source>whole forms</source>
        <translation>ganze Formen</translation>
    </message>
    <message>
        <source>New form</source>
        <translation>Neue Form</translation>
    </message>
    <message>
        <source>Movements one after another, as one form of your own</source>
        <translation>Bewegungen nacheinander, als eine eigene Form</translation>
    </message>
    <message>
        <source>Practise it</source>
        <translation>Üben</translation>
    </message>
    <message>
        <source>Into the next plan: a movement by name, a form piece by piece</source>
        <translation>In den nächsten Plan: eine Bewegung mit Namen, eine Form Stück für Stück</translation>
    </message>
    <message>
        <source>your own form</source>
        <translation>Ihre eigene Form</translation>
    </message>
    <message numerus="yes">
        <source>whole form, %n part(s)</source>
        <translation>
            <numerusform>ganze Form, %n Teil</numerusform>
            <numerusform>ganze Form, %n Teile</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n form(s)</source>
        <comment>whole forms</comment>
        <translation>
            <numerusform>%n Form</numerusform>
            <numerusform>%n Formen</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>This part of the form earlier</source>
        <translation>Diesen Teil der Form früher</translation>
    </message>
    <message>
        <source>This part of the form later</source>
        <translation>Diesen Teil der Form später</translation>
    </message>
    <message>
        <source>no fault</source>
        <translation>kein Fehler</translation>
    </message>
    <message>
        <source>Done as</source>
        <translation>Ausgeführt als</translation>
    </message>
    <message>
        <source>Beside it</source>
        <translation>Daneben</translation>
    </message>
    <message>
        <source>Seen from</source>
        <translation>Gesehen von</translation>
    </message>
    <message>
        <source>Looking for the movements in the clip …</source>
        <translation>Die Bewegungen im Clip werden gesucht …</translation>
    </message>
    <message>
        <source>Fewer than two of the known movements follow one on the other in this clip. Learn them one by one first.</source>
        <translation>In diesem Clip folgen weniger als zwei bekannte Bewegungen aufeinander. Lernen Sie sie zuerst einzeln.</translation>
    </message>
    <message>
        <source>Form of %1</source>
        <translation>Form vom %1</translation>
    </message>
    <message>
        <source>a form from a clip</source>
        <translation>eine Form aus einem Clip</translation>
    </message>
    <message numerus="yes">
        <source>%n part(s) found. Turns between them cannot be seen by one camera: set them where there are any.</source>
        <translation>
            <numerusform>Ein Teil gefunden. Drehungen dazwischen sieht eine Kamera nicht: stellen Sie sie ein, wo es welche gibt.</numerusform>
            <numerusform>%n Teile gefunden. Drehungen dazwischen sieht eine Kamera nicht: stellen Sie sie ein, wo es welche gibt.</numerusform>
        </translation>
    </message>
    <message>
        <source>Lane</source>
        <translation>Spur</translation>
    </message>
</context>
<context>
    <name>bevel::ui::GroundPage</name>
    <message>
        <source>Ground</source>
        <translation>Boden</translation>
    </message>
    <message>
        <source>A good clip needs none of this. Marks make figures surer where the room shows little.</source>
        <translation>Eine gute Aufnahme braucht nichts davon. Marken machen Werte sicherer, wo der Raum wenig zeigt.</translation>
    </message>
    <message>
        <source>How long it is</source>
        <translation>Wie lang es ist</translation>
    </message>
    <message>
        <source> in</source>
        <translation> in</translation>
    </message>
    <message>
        <source> cm</source>
        <translation> cm</translation>
    </message>
    <message>
        <source>Next doubtful frame</source>
        <translation>Nächstes zweifelhaftes Bild</translation>
    </message>
    <message>
        <source>Frame</source>
        <translation>Bild</translation>
    </message>
    <message>
        <source>the vertical</source>
        <translation>die Senkrechte</translation>
    </message>
    <message>
        <source>the length</source>
        <translation>die Länge</translation>
    </message>
    <message>
        <source>That leaves less than a second. Choose another frame.</source>
        <translation>Das lässt weniger als eine Sekunde. Ein anderes Bild wählen.</translation>
    </message>
    <message>
        <source>the stretch</source>
        <translation>der Abschnitt</translation>
    </message>
    <message>
        <source>the mended points</source>
        <translation>die gerichteten Punkte</translation>
    </message>
    <message>
        <source>No clip to stand on</source>
        <translation>Kein Boden ohne Aufnahme</translation>
    </message>
    <message>
        <source>Open a review first: the ground is that of its clip.</source>
        <translation>Zuerst eine Durchsicht öffnen: der Boden ist der ihrer Aufnahme.</translation>
    </message>
    <message>
        <source>Go to Arrivals</source>
        <translation>Zum Eingang</translation>
    </message>
    <message>
        <source>Frame back</source>
        <translation>Bild zurück</translation>
    </message>
    <message>
        <source>Frame on</source>
        <translation>Bild vor</translation>
    </message>
    <message>
        <source>Opening …</source>
        <translation>Wird geöffnet …</translation>
    </message>
    <message>
        <source>Ground under %1&apos;s clip</source>
        <translation>Boden der Aufnahme von %1</translation>
    </message>
    <message>
        <source>a known length</source>
        <translation>eine bekannte Länge</translation>
    </message>
    <message>
        <source>Too short or too flat to tell the vertical. Drag along something that stands upright.</source>
        <translation>Zu kurz oder zu flach für die Senkrechte. Entlang von etwas ziehen, das aufrecht steht.</translation>
    </message>
    <message>
        <source>an upright edge</source>
        <translation>eine senkrechte Kante</translation>
    </message>
    <message>
        <source>a mended point</source>
        <translation>ein gerichteter Punkt</translation>
    </message>
    <message>
        <source>No frame is doubtful.</source>
        <translation>Kein Bild ist zweifelhaft.</translation>
    </message>
    <message>
        <source>Drag along a door frame, a post or a hanging cord; two of them, left and right, tell most (1)</source>
        <translation>Entlang eines Türrahmens, Pfostens oder einer hängenden Schnur ziehen; zwei, links und rechts, sagen am meisten (1)</translation>
    </message>
    <message>
        <source>Drag along something of known length at the student&apos;s distance (2)</source>
        <translation>Entlang von etwas bekannter Länge in der Entfernung der übenden Person ziehen (2)</translation>
    </message>
    <message>
        <source>Mat</source>
        <translation>Matte</translation>
    </message>
    <message>
        <source>Click the four corners of a mat or of tiles on the floor, one after the other around it: the floor is seen as a plan then (3)</source>
        <translation>Die vier Ecken einer Matte oder von Fliesen reihum anklicken: der Boden wird dann als Grundriss gesehen (3)</translation>
    </message>
    <message>
        <source>Click three or more points along an edge that is straight; a double click ends it: the lens is told from how it bends (4)</source>
        <translation>Drei oder mehr Punkte entlang einer geraden Kante anklicken; ein Doppelklick beendet sie: ihre Biegung zeigt das Objektiv (4)</translation>
    </message>
    <message>
        <source>Drag a point of the body to where it is (5)</source>
        <translation>Einen Punkt des Körpers dorthin ziehen, wo er ist (5)</translation>
    </message>
    <message>
        <source>The mat&apos;s second side</source>
        <translation>Die zweite Seite der Matte</translation>
    </message>
    <message>
        <source>Room</source>
        <translation>Raum</translation>
    </message>
    <message>
        <source>Points</source>
        <translation>Punkte</translation>
    </message>
    <message>
        <source>the height of the camera</source>
        <translation>die Höhe der Kamera</translation>
    </message>
    <message>
        <source>The chosen point as on the frame before</source>
        <translation>Der gewählte Punkt wie im Bild davor</translation>
    </message>
    <message>
        <source>Swap left and right from here, to here</source>
        <translation>Links und rechts tauschen, von hier, bis hier</translation>
    </message>
    <message>
        <source>Fill the chosen point between marks</source>
        <translation>Den gewählten Punkt zwischen Marken füllen</translation>
    </message>
    <message>
        <source>No camera sees a mat of that size so. Click the corners one after the other around it, the first two along the first length, and check both lengths.</source>
        <translation>Keine Kamera sieht eine Matte dieser Größe so. Die Ecken reihum anklicken, die ersten zwei entlang der ersten Länge, und beide Längen prüfen.</translation>
    </message>
    <message>
        <source>a mat on the floor</source>
        <translation>eine Matte am Boden</translation>
    </message>
    <message>
        <source>Too short to tell how the lens bends it. Choose a long edge near the side of the picture.</source>
        <translation>Zu kurz, um die Biegung des Objektivs zu zeigen. Eine lange Kante nahe am Bildrand wählen.</translation>
    </message>
    <message>
        <source>a straight edge</source>
        <translation>eine gerade Kante</translation>
    </message>
    <message>
        <source>a point of the back or a tool</source>
        <translation>ein Punkt am Rücken oder Gerät</translation>
    </message>
    <message>
        <source>the lens</source>
        <translation>das Objektiv</translation>
    </message>
    <message>
        <source>the mat</source>
        <translation>die Matte</translation>
    </message>
    <message>
        <source>the shake</source>
        <translation>das Wackeln</translation>
    </message>
    <message>
        <source>the support</source>
        <translation>die Stütze</translation>
    </message>
    <message>
        <source>the seat</source>
        <translation>der Sitz</translation>
    </message>
    <message>
        <source>A hand on a support from %1. Go to where it is let go, and press “to here”.</source>
        <translation>Eine Hand an der Stütze ab %1. Dorthin gehen, wo sie loslässt, und „bis hier“ drücken.</translation>
    </message>
    <message>
        <source>Go to where the hand takes the support first, and press “Hand on it from here”.</source>
        <translation>Zuerst dorthin gehen, wo die Hand die Stütze nimmt, und „Hand daran ab hier“ drücken.</translation>
    </message>
    <message>
        <source>a support</source>
        <translation>eine Stütze</translation>
    </message>
    <message>
        <source>Left and right change places from here. Go to the last such frame and press it again.</source>
        <translation>Links und rechts tauschen ab hier. Zum letzten solchen Bild gehen und noch einmal drücken.</translation>
    </message>
    <message>
        <source>swapped sides</source>
        <translation>getauschte Seiten</translation>
    </message>
    <message>
        <source>Choose a point and mark it on two frames first; the frames between are filled then.</source>
        <translation>Zuerst einen Punkt wählen und in zwei Bildern markieren; die Bilder dazwischen werden dann gefüllt.</translation>
    </message>
    <message>
        <source>Mark %1 on a frame before and on one after this; the frames between are filled then.</source>
        <translation>„%1“ in einem Bild davor und einem danach markieren; die Bilder dazwischen werden dann gefüllt.</translation>
    </message>
    <message>
        <source>Following %1 …</source>
        <translation>%1 wird verfolgt …</translation>
    </message>
    <message>
        <source>filled frames</source>
        <translation>gefüllte Bilder</translation>
    </message>
    <message numerus="yes">
        <source>%n frame(s) filled; both ways agree on all of them.</source>
        <translation>
            <numerusform>%n Bild gefüllt; beide Wege stimmen überein.</numerusform>
            <numerusform>%n Bilder gefüllt; beide Wege stimmen überall überein.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n frame(s) filled straight between, since the ways did not agree there: look at them.</source>
        <translation>
            <numerusform>%n Bild gerade gefüllt, da die Wege dort nicht übereinstimmen: bitte ansehen.</numerusform>
            <numerusform>%n Bilder gerade gefüllt, da die Wege dort nicht übereinstimmen: bitte ansehen.</numerusform>
        </translation>
    </message>
    <message>
        <source>Holding the picture against the room …</source>
        <translation>Das Bild wird gegen den Raum gehalten …</translation>
    </message>
    <message>
        <source>The picture moved by up to %1 px; ± %2 px are left.</source>
        <translation>Das Bild bewegte sich um bis zu %1 px; ± %2 px bleiben.</translation>
    </message>
    <message>
        <source>Camera place</source>
        <translation>Kameraplatz</translation>
    </message>
    <message>
        <source>What is this place called?</source>
        <translation>Wie heißt dieser Platz?</translation>
    </message>
    <message>
        <source>Kept: “%1” is offered for the next clip from there.</source>
        <translation>Behalten: „%1“ wird beim nächsten Clip von dort angeboten.</translation>
    </message>
    <message>
        <source>The pictures of that place have another size (%1 × %2).</source>
        <translation>Die Bilder jenes Platzes haben eine andere Größe (%1 × %2).</translation>
    </message>
    <message>
        <source>the marks of a place</source>
        <translation>die Marken eines Platzes</translation>
    </message>
    <message>
        <source>The room, and points of the body</source>
        <translation>Der Raum und Punkte des Körpers</translation>
    </message>
    <message>
        <source>Upright</source>
        <translation>Senkrechte</translation>
    </message>
    <message>
        <source>Length</source>
        <translation>Länge</translation>
    </message>
    <message>
        <source>Edge</source>
        <translation>Kante</translation>
    </message>
    <message>
        <source>Body</source>
        <translation>Körper</translation>
    </message>
    <message>
        <source>What the line is drawn along</source>
        <translation>Woran die Linie entlangläuft</translation>
    </message>
    <message>
        <source>A known length sets the scale; the student&apos;s own foot or fist becomes a unit for widths</source>
        <translation>Eine bekannte Länge gibt den Maßstab; Fuß oder Faust der übenden Person werden zur Einheit für Breiten</translation>
    </message>
    <message>
        <source>the student&apos;s foot</source>
        <translation>der eigene Fuß</translation>
    </message>
    <message>
        <source>the student&apos;s fist</source>
        <translation>die eigene Faust</translation>
    </message>
    <message>
        <source>Set a body by hand here</source>
        <translation>Hier einen Körper von Hand setzen</translation>
    </message>
    <message>
        <source>Follow the body between two set by hand</source>
        <translation>Den Körper zwischen zwei gesetzten verfolgen</translation>
    </message>
    <message>
        <source>Nobody was found in this clip. Press B to set a body on this frame, go on about half a second and set it again; G follows it between.</source>
        <translation>In diesem Clip wurde niemand gefunden. B setzt einen Körper auf dieses Bild; etwa eine halbe Sekunde weitergehen und ihn wieder setzen, G verfolgt ihn dazwischen.</translation>
    </message>
    <message>
        <source>Say whose clip this is first: the unit belongs to the student.</source>
        <translation>Zuerst sagen, von wem der Clip ist: Die Einheit gehört zur Person.</translation>
    </message>
    <message>
        <source>That is %1 cm, no foot of a person. Drag from the heel to the tip of the toes, seen from the side.</source>
        <translation>Das sind %1 cm, kein Fuß eines Menschen. Von der Ferse zur Zehenspitze ziehen, von der Seite gesehen.</translation>
    </message>
    <message>
        <source>That is %1 cm, no fist of a person. Drag across the knuckles, from side to side.</source>
        <translation>Das sind %1 cm, keine Faust eines Menschen. Quer über die Knöchel ziehen, von einer Seite zur anderen.</translation>
    </message>
    <message>
        <source>an own unit</source>
        <translation>eine eigene Einheit</translation>
    </message>
    <message>
        <source>a body by hand</source>
        <translation>ein Körper von Hand</translation>
    </message>
    <message>
        <source>There is a body on this frame: drag its points, or all of it with Ctrl held.</source>
        <translation>Auf diesem Bild ist ein Körper: seine Punkte ziehen, oder mit Strg den ganzen.</translation>
    </message>
    <message>
        <source>Drag the points to where they are; with Ctrl held the whole body moves, Ctrl and the wheel make it larger or smaller.</source>
        <translation>Die Punkte dorthin ziehen, wo sie sind; mit Strg bewegt sich der ganze Körper, Strg und Mausrad machen ihn größer oder kleiner.</translation>
    </message>
    <message>
        <source>Set the body on a frame before and on one after this; it is followed through the frames between then.</source>
        <translation>Den Körper auf einem Bild davor und einem danach setzen; dazwischen wird er dann verfolgt.</translation>
    </message>
    <message>
        <source>the body</source>
        <translation>den Körper</translation>
    </message>
    <message>
        <source>Mark two frames that are nearer to each other.</source>
        <translation>Zwei Bilder markieren, die näher beieinander liegen.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::HandoverDialog</name>
    <message>
        <source>Take over a class</source>
        <translation>Eine Gruppe übernehmen</translation>
    </message>
    <message>
        <source>%1 until %2</source>
        <translation>%1 bis %2</translation>
    </message>
    <message>
        <source>Who %1 is</source>
        <translation>Wer %1 ist</translation>
    </message>
    <message>
        <source>somebody new</source>
        <translation>jemand Neues</translation>
    </message>
    <message>
        <source>The people of the class</source>
        <translation>Die Menschen der Gruppe</translation>
    </message>
    <message>
        <source>Take it over</source>
        <translation>Übernehmen</translation>
    </message>
    <message>
        <source>“%1”: %2, %3, %4.</source>
        <comment>class, people, lessons, courses</comment>
        <translation>„%1“: %2, %3, %4.</translation>
    </message>
    <message numerus="yes">
        <source>%n people</source>
        <translation>
            <numerusform>%n Mensch</numerusform>
            <numerusform>%n Menschen</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n lesson(s)</source>
        <translation>
            <numerusform>%n Stunde</numerusform>
            <numerusform>%n Stunden</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n course(s)</source>
        <translation>
            <numerusform>%n Kurs</numerusform>
            <numerusform>%n Kurse</numerusform>
        </translation>
    </message>
    <message>
        <source>Who of them is here already? They keep all that is known of them; what the file says that they may not do is agreed with them too.</source>
        <translation>Wer von ihnen ist schon hier? Was von ihnen bekannt ist, bleibt; was sie laut Datei nicht tun dürfen, gilt für sie auch hier.</translation>
    </message>
    <message>
        <source>%1 cannot be two of them.</source>
        <translation>%1 kann nicht zwei von ihnen sein.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::HelpWindow</name>
    <message>
        <source>Measures, rules and marks</source>
        <translation>Maße, Regeln und Zeichen</translation>
    </message>
    <message>
        <source>Search</source>
        <translation>Suche</translation>
    </message>
    <message>
        <source>Search: knee, weight, breath …</source>
        <translation>Suche: Knie, Gewicht, Atem …</translation>
    </message>
    <message>
        <source>Topics</source>
        <translation>Themen</translation>
    </message>
    <message>
        <source>Page</source>
        <translation>Seite</translation>
    </message>
</context>
<context>
    <name>bevel::ui::HoldsDialog</name>
    <message>
        <source>Holds in this clip</source>
        <translation>Gehaltenes in dieser Aufnahme</translation>
    </message>
    <message>
        <source>Nothing is held for two seconds in this clip.</source>
        <translation>In dieser Aufnahme wird nichts zwei Sekunden lang gehalten.</translation>
    </message>
    <message numerus="yes">
        <source>%n hold(s) of two seconds or more. Sway is how far the body&apos;s centre wanders about its middle.</source>
        <translation>
            <numerusform>%n Mal zwei Sekunden oder länger gehalten. Das Schwanken sagt, wie weit der Körperschwerpunkt um seine Mitte wandert.</numerusform>
            <numerusform>%n Mal zwei Sekunden oder länger gehalten. Das Schwanken sagt, wie weit der Körperschwerpunkt um seine Mitte wandert.</numerusform>
        </translation>
    </message>
    <message>
        <source>Holds</source>
        <translation>Gehaltenes</translation>
    </message>
    <message>
        <source>When</source>
        <translation>Wann</translation>
    </message>
    <message>
        <source>How long</source>
        <translation>Wie lange</translation>
    </message>
    <message>
        <source>On</source>
        <translation>Auf</translation>
    </message>
    <message>
        <source>Sway sideways</source>
        <translation>Schwanken seitwärts</translation>
    </message>
    <message>
        <source>Sway forward</source>
        <translation>Schwanken vorwärts</translation>
    </message>
    <message>
        <source>Hips sink</source>
        <translation>Hüfte sinkt</translation>
    </message>
    <message>
        <source>%1 ± %2 mm</source>
        <translation>%1 ± %2 mm</translation>
    </message>
    <message>
        <source>not seen from here</source>
        <translation>von hier nicht zu sehen</translation>
    </message>
    <message>
        <source>the %1 leg</source>
        <translation>Bein: %1</translation>
    </message>
    <message>
        <source>both feet</source>
        <translation>beide Füße</translation>
    </message>
    <message numerus="yes">
        <source>, touched %n time(s)</source>
        <translation>
            <numerusform>, %n Mal aufgetippt</numerusform>
            <numerusform>, %n Mal aufgetippt</numerusform>
        </translation>
    </message>
    <message>
        <source>, supported</source>
        <translation>, gestützt</translation>
    </message>
    <message>
        <source>%1 ± %2 s</source>
        <translation>%1 ± %2 s</translation>
    </message>
    <message>
        <source>not seen</source>
        <translation>nicht zu sehen</translation>
    </message>
</context>
<context>
    <name>bevel::ui::Inbox</name>
    <message numerus="yes">
        <source>%1 (%n more after it)</source>
        <translation>
            <numerusform>%1 (danach noch %n)</numerusform>
            <numerusform>%1 (danach noch %n)</numerusform>
        </translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
</context>
<context>
    <name>bevel::ui::Jobs</name>
    <message>
        <source>Copying the clip: %1</source>
        <translation>Aufnahme wird kopiert: %1</translation>
    </message>
    <message>
        <source>Finding the body: %1</source>
        <translation>Körper wird gesucht: %1</translation>
    </message>
    <message>
        <source>Keeping the library: %1</source>
        <translation>Bibliothek: %1</translation>
    </message>
    <message>
        <source>Writing: %1</source>
        <translation>Wird geschrieben: %1</translation>
    </message>
    <message>
        <source>Putting two clips in one room: %1</source>
        <translation>Zwei Aufnahmen in einen Raum stellen: %1</translation>
    </message>
    <message>
        <source>Fitting one body to the clip: %1</source>
        <translation>Einen Körper an den Clip anpassen: %1</translation>
    </message>
</context>
<context>
    <name>bevel::ui::JobsBar</name>
    <message>
        <source>Progress</source>
        <translation>Fortschritt</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Anhalten</translation>
    </message>
    <message numerus="yes">
        <source>%1 (and %n more)</source>
        <translation>
            <numerusform>%1 (und %n weitere)</numerusform>
            <numerusform>%1 (und %n weitere)</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>bevel::ui::KeepingDialog</name>
    <message>
        <source>Room and keeping</source>
        <translation>Platz und Aufbewahren</translation>
    </message>
    <message>
        <source>Counting …</source>
        <translation>Wird gezählt …</translation>
    </message>
    <message>
        <source>Films of each student</source>
        <translation>Filme jeder übenden Person</translation>
    </message>
    <message>
        <source>Student</source>
        <translation>Übende Person</translation>
    </message>
    <message>
        <source>Films</source>
        <translation>Filme</translation>
    </message>
    <message>
        <source>Room</source>
        <translation>Raum</translation>
    </message>
    <message>
        <source>Films are kept until</source>
        <translation>Filme bleiben bis</translation>
    </message>
    <message>
        <source>Remove films past their day …</source>
        <translation>Abgelaufene Filme entfernen …</translation>
    </message>
    <message>
        <source>%1: films are kept until a day</source>
        <translation>%1: Filme bleiben bis zu einem Tag</translation>
    </message>
    <message>
        <source>%1: films are kept until</source>
        <translation>%1: Filme bleiben bis</translation>
    </message>
    <message>
        <source>%1 films take %2. Points, findings and letters stay when a film goes; nothing is removed without your say.</source>
        <translation>%1 Filme brauchen %2. Punkte, Befunde und Briefe bleiben, wenn ein Film geht; nichts wird ungefragt entfernt.</translation>
    </message>
    <message numerus="yes">
        <source>Remove %n film(s) past their day …</source>
        <translation>
            <numerusform>%n abgelaufenen Film entfernen …</numerusform>
            <numerusform>%n abgelaufene Filme entfernen …</numerusform>
        </translation>
    </message>
    <message>
        <source>No film is past its day</source>
        <translation>Kein Film ist abgelaufen</translation>
    </message>
    <message>
        <source>Remove films?</source>
        <translation>Filme entfernen?</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message numerus="yes">
        <source>Overwrite and remove %n film(s)? Points, findings, decisions and letters stay.</source>
        <translation>
            <numerusform>%n Film überschreiben und entfernen? Punkte, Befunde, Entscheidungen und Briefe bleiben.</numerusform>
            <numerusform>%n Filme überschreiben und entfernen? Punkte, Befunde, Entscheidungen und Briefe bleiben.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>bevel::ui::LayoutStrip</name>
    <message>
        <source>The clip with the phases laid out on it</source>
        <translation>Die Aufnahme mit den Phasen darauf</translation>
    </message>
    <message>
        <source>Left and Right move along the clip, with Shift by a second; Up and Down choose a border, Ctrl with Left and Right moves it</source>
        <translation>Links und Rechts gehen durch die Aufnahme, mit Umschalt um eine Sekunde; Auf und Ab wählen eine Grenze, Strg mit Links und Rechts verschiebt sie</translation>
    </message>
    <message>
        <source>Choose a clip</source>
        <translation>Eine Aufnahme wählen</translation>
    </message>
    <message>
        <source>hips</source>
        <translation>Hüfte</translation>
    </message>
    <message>
        <source>left hand</source>
        <translation>linke Hand</translation>
    </message>
    <message>
        <source>right hand</source>
        <translation>rechte Hand</translation>
    </message>
    <message>
        <source>weight</source>
        <translation>Gewicht</translation>
    </message>
</context>
<context>
    <name>bevel::ui::LearnDialog</name>
    <message>
        <source>The repetition must end as it began: move its end to where the feet are back.</source>
        <translation>Die Wiederholung muss enden, wie sie begann: Schiebe ihr Ende dorthin, wo die Füße zurück sind.</translation>
    </message>
    <message>
        <source>Both feet are off the floor at the end of a phase: move that border.</source>
        <translation>Am Ende einer Phase sind beide Füße in der Luft: Verschiebe diese Grenze.</translation>
    </message>
    <message>
        <source>A foot steps within a phase: put a border where it is in the air.</source>
        <translation>Ein Fuß macht innerhalb einer Phase einen Schritt: Setze eine Grenze, wo er in der Luft ist.</translation>
    </message>
    <message>
        <source>At least two phases are needed, one after the other.</source>
        <translation>Es braucht mindestens zwei Phasen nacheinander.</translation>
    </message>
    <message>
        <source>A repetition is at least a second long.</source>
        <translation>Eine Wiederholung dauert mindestens eine Sekunde.</translation>
    </message>
    <message>
        <source>No repetition was found in these clips: set its beginning and end by hand, or lay it out on another clip.</source>
        <translation>In diesen Aufnahmen wurde keine Wiederholung gefunden: Setze Anfang und Ende von Hand, oder nimm eine andere Aufnahme.</translation>
    </message>
    <message>
        <source>A movement from clips</source>
        <translation>Eine Bewegung aus Aufnahmen</translation>
    </message>
    <message>
        <source>Search clips</source>
        <translation>Aufnahmen suchen</translation>
    </message>
    <message>
        <source>Clips that show it</source>
        <translation>Aufnahmen, die sie zeigen</translation>
    </message>
    <message>
        <source>Tick all that are meant to be as it should be; one of them is laid out.</source>
        <translation>Hake alle an, die zeigen, wie es sein soll; auf einer davon werden die Phasen gelegt.</translation>
    </message>
    <message>
        <source>The frame at the mark</source>
        <translation>Das Bild an der Marke</translation>
    </message>
    <message>
        <source>a border moved</source>
        <translation>eine Grenze verschoben</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>Begins</source>
        <translation>Beginnt</translation>
    </message>
    <message>
        <source>The repetition begins at the mark</source>
        <translation>Die Wiederholung beginnt an der Marke</translation>
    </message>
    <message>
        <source>Ends</source>
        <translation>Endet</translation>
    </message>
    <message>
        <source>The repetition ends at the mark</source>
        <translation>Die Wiederholung endet an der Marke</translation>
    </message>
    <message>
        <source>Border</source>
        <translation>Grenze</translation>
    </message>
    <message>
        <source>A border between phases at the mark</source>
        <translation>Eine Grenze zwischen Phasen an der Marke</translation>
    </message>
    <message>
        <source>Join</source>
        <translation>Verbinden</translation>
    </message>
    <message>
        <source>The chosen phase and the next become one</source>
        <translation>Die gewählte Phase und die nächste werden eine</translation>
    </message>
    <message>
        <source>Phases again</source>
        <translation>Phasen neu</translation>
    </message>
    <message>
        <source>Phases of this stretch from what happens in it</source>
        <translation>Phasen dieser Strecke aus dem, was darin geschieht</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Rückgängig</translation>
    </message>
    <message>
        <source>Take the last step back</source>
        <translation>Den letzten Schritt zurücknehmen</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Wiederholen</translation>
    </message>
    <message>
        <source>Do it again</source>
        <translation>Noch einmal tun</translation>
    </message>
    <message>
        <source>Phases</source>
        <translation>Phasen</translation>
    </message>
    <message>
        <source>Phase</source>
        <translation>Phase</translation>
    </message>
    <message>
        <source>Role</source>
        <translation>Rolle</translation>
    </message>
    <message>
        <source>Stance</source>
        <translation>Stand</translation>
    </message>
    <message>
        <source>s</source>
        <translation>s</translation>
    </message>
    <message>
        <source>as students know it</source>
        <translation>wie Übende sie kennen</translation>
    </message>
    <message>
        <source>What the clips cannot show, such as breath, is taken from it</source>
        <translation>Was die Aufnahmen nicht zeigen, etwa der Atem, kommt von ihr</translation>
    </message>
    <message>
        <source>none: from nothing</source>
        <translation>keine: von Grund auf</translation>
    </message>
    <message>
        <source>the left</source>
        <translation>links</translation>
    </message>
    <message>
        <source>the right</source>
        <translation>rechts</translation>
    </message>
    <message>
        <source>both sides alike</source>
        <translation>beide Seiten gleich</translation>
    </message>
    <message>
        <source>A line each</source>
        <translation>Je eine Zeile</translation>
    </message>
    <message>
        <source>Learn it</source>
        <translation>Lernen</translation>
    </message>
    <message>
        <source>Keep it among the forms</source>
        <translation>Zu den Formen nehmen</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>Nearest movement</source>
        <translation>Nächste Bewegung</translation>
    </message>
    <message>
        <source>Led by</source>
        <translation>Führende Seite</translation>
    </message>
    <message>
        <source>Points of attention</source>
        <translation>Worauf zu achten ist</translation>
    </message>
    <message>
        <source>%1, my way</source>
        <translation>%1, meine Art</translation>
    </message>
    <message>
        <source>the leading side</source>
        <translation>die führende Seite</translation>
    </message>
    <message>
        <source>%1
%2 %3</source>
        <translation>%1
%2 %3</translation>
    </message>
    <message>
        <source>movement not said</source>
        <translation>Bewegung nicht gesagt</translation>
    </message>
    <message>
        <source>There is no clip yet in which the body was found. Take one in at Arrivals first.</source>
        <translation>Es gibt noch keine Aufnahme, in der der Körper gefunden wurde. Nimm zuerst im Eingang eine auf.</translation>
    </message>
    <message>
        <source>Tick the clips, and choose the one on which a repetition is laid out.</source>
        <translation>Hake die Aufnahmen an und wähle die, auf der eine Wiederholung gelegt wird.</translation>
    </message>
    <message>
        <source>Opening …</source>
        <translation>Wird geöffnet …</translation>
    </message>
    <message>
        <source>a layout</source>
        <translation>eine Einteilung</translation>
    </message>
    <message>
        <source>what is suggested</source>
        <translation>das Vorgeschlagene</translation>
    </message>
    <message>
        <source>One repetition is laid out. Look at its borders, name the phases, then learn it.</source>
        <translation>Eine Wiederholung ist eingeteilt. Sieh die Grenzen an, benenne die Phasen, dann lernen.</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keine</translation>
    </message>
    <message>
        <source>Role of phase %1</source>
        <translation>Rolle der Phase %1</translation>
    </message>
    <message>
        <source>Stance of phase %1</source>
        <translation>Stand der Phase %1</translation>
    </message>
    <message>
        <source>a phase</source>
        <translation>eine Phase</translation>
    </message>
    <message>
        <source>a border</source>
        <translation>eine Grenze</translation>
    </message>
    <message>
        <source>The mark stands outside of the repetition, or on a border.</source>
        <translation>Die Marke steht außerhalb der Wiederholung oder auf einer Grenze.</translation>
    </message>
    <message>
        <source>a border taken out</source>
        <translation>eine Grenze herausgenommen</translation>
    </message>
    <message>
        <source>the end</source>
        <translation>das Ende</translation>
    </message>
    <message>
        <source>the beginning</source>
        <translation>der Anfang</translation>
    </message>
    <message>
        <source>This frame cannot be shown.</source>
        <translation>Dieses Bild kann nicht gezeigt werden.</translation>
    </message>
    <message>
        <source>as it was shown</source>
        <translation>wie es gezeigt wurde</translation>
    </message>
    <message>
        <source>Learning …</source>
        <translation>Wird gelernt …</translation>
    </message>
    <message>
        <source>It needs a name first</source>
        <translation>Sie braucht zuerst einen Namen</translation>
    </message>
</context>
<context>
    <name>bevel::ui::LessonView</name>
    <message>
        <source>Day of the lesson</source>
        <translation>Tag der Stunde</translation>
    </message>
    <message>
        <source>Propose a lesson</source>
        <translation>Stunde vorschlagen</translation>
    </message>
    <message>
        <source>Another one</source>
        <translation>Eine andere</translation>
    </message>
    <message>
        <source>Hold it …</source>
        <translation>Halten …</translation>
    </message>
    <message>
        <source>Print</source>
        <translation>Drucken</translation>
    </message>
    <message>
        <source>Sheet for whoever leads, with names …</source>
        <translation>Blatt für die Leitung, mit Namen …</translation>
    </message>
    <message>
        <source>Sheet for the wall, without names …</source>
        <translation>Blatt für die Wand, ohne Namen …</translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation>PDF (*.pdf)</translation>
    </message>
    <message>
        <source>Here</source>
        <translation>Da</translation>
    </message>
    <message>
        <source>away</source>
        <translation>fehlt</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>May not</source>
        <translation>Darf nicht</translation>
    </message>
    <message>
        <source>Today</source>
        <translation>Heute</translation>
    </message>
    <message>
        <source>Who is here</source>
        <translation>Wer da ist</translation>
    </message>
    <message>
        <source>Space: here, or away</source>
        <translation>Leertaste: da oder nicht</translation>
    </message>
    <message>
        <source>Here / away</source>
        <translation>Da / fehlt</translation>
    </message>
    <message>
        <source>Today: %1</source>
        <translation>Heute: %1</translation>
    </message>
    <message>
        <source>dizzy</source>
        <translation>schwindlig</translation>
    </message>
    <message>
        <source>unsteady</source>
        <translation>unsicher</translation>
    </message>
    <message>
        <source>tired</source>
        <translation>müde</translation>
    </message>
    <message>
        <source>Min</source>
        <translation>Min</translation>
    </message>
    <message>
        <source>All</source>
        <translation>Alle</translation>
    </message>
    <message>
        <source>Said to all</source>
        <translation>Allen gesagt</translation>
    </message>
    <message>
        <source>Instead</source>
        <translation>Stattdessen</translation>
    </message>
    <message>
        <source>The lesson</source>
        <translation>Die Stunde</translation>
    </message>
    <message>
        <source>Take out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message numerus="yes">
        <source>%1, %n round(s)</source>
        <comment>how often</comment>
        <translation>
            <numerusform>%1, %n Runde</numerusform>
            <numerusform>%1, %n Runden</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 of %2 here%3</source>
        <translation>%1 von %2 da%3</translation>
    </message>
    <message>
        <source>, %1 min</source>
        <comment>after how many are here</comment>
        <translation>, %1 min</translation>
    </message>
    <message>
        <source> · held</source>
        <translation> · gehalten</translation>
    </message>
    <message>
        <source>More than half of those who are here do something else than: %1.</source>
        <translation>Mehr als die Hälfte derer, die da sind, tut etwas anderes als: %1.</translation>
    </message>
    <message>
        <source>Propose it anew</source>
        <translation>Neu vorschlagen</translation>
    </message>
    <message>
        <source>Nobody belongs to this class yet: tick them under “Class”.</source>
        <translation>Noch gehört niemand zu dieser Gruppe: unter „Gruppe“ ankreuzen.</translation>
    </message>
    <message>
        <source>What %1 brings today</source>
        <translation>Was %1 heute mitbringt</translation>
    </message>
    <message>
        <source>Nobody yet</source>
        <translation>Noch niemand</translation>
    </message>
    <message>
        <source>Saved: %1</source>
        <translation>Gespeichert: %1</translation>
    </message>
    <message>
        <source>Alt and the arrows move an exercise, Delete takes it out</source>
        <translation>Alt und die Pfeile verschieben eine Übung, Entf nimmt sie heraus</translation>
    </message>
    <message>
        <source>Earlier</source>
        <translation>Früher</translation>
    </message>
    <message>
        <source>Later</source>
        <translation>Später</translation>
    </message>
    <message>
        <source>More</source>
        <translation>Mehr</translation>
    </message>
    <message>
        <source>One more on each side, five seconds more of a hold, a quarter of a minute more of a stand (+)</source>
        <translation>Einmal mehr je Seite, fünf Sekunden länger halten, eine Viertelminute länger stehen (+)</translation>
    </message>
    <message>
        <source>Less</source>
        <translation>Weniger</translation>
    </message>
    <message>
        <source>One less on each side, five seconds less of a hold, a quarter of a minute less of a stand (−)</source>
        <translation>Einmal weniger je Seite, fünf Sekunden kürzer halten, eine Viertelminute kürzer stehen (−)</translation>
    </message>
    <message>
        <source>Week %1 of “%2”</source>
        <translation>Woche %1 von „%2“</translation>
    </message>
    <message>
        <source>, new: %1</source>
        <translation>, neu: %1</translation>
    </message>
</context>
<context>
    <name>bevel::ui::LetterPage</name>
    <message>
        <source>Letter</source>
        <translation>Brief</translation>
    </message>
    <message>
        <source>What went well</source>
        <translation>Was gut ging</translation>
    </message>
    <message>
        <source>Corrections, at most three</source>
        <translation>Korrekturen, höchstens drei</translation>
    </message>
    <message>
        <source>Opening words</source>
        <translation>Worte zum Anfang</translation>
    </message>
    <message>
        <source>Closing words</source>
        <translation>Worte zum Schluss</translation>
    </message>
    <message>
        <source>Signed by</source>
        <translation>Unterschrift</translation>
    </message>
    <message>
        <source>Your name</source>
        <translation>Eigener Name</translation>
    </message>
    <message>
        <source>Place</source>
        <translation>Ort</translation>
    </message>
    <message>
        <source>Your school or hall</source>
        <translation>Eigene Schule oder Halle</translation>
    </message>
    <message>
        <source>Hide who it is: name, face, surroundings</source>
        <translation>Name, Gesicht und Raum verbergen</translation>
    </message>
    <message>
        <source>Save as PDF …</source>
        <translation>Als PDF speichern …</translation>
    </message>
    <message>
        <source>HTML …</source>
        <translation>HTML …</translation>
    </message>
    <message>
        <source>Save as one HTML file with its pictures inside</source>
        <translation>Als eine HTML-Datei mit ihren Bildern speichern</translation>
    </message>
    <message>
        <source>Print …</source>
        <translation>Drucken …</translation>
    </message>
    <message>
        <source>Slow motion …</source>
        <translation>Zeitlupe …</translation>
    </message>
    <message>
        <source>Save the moment of the chosen correction as a clip three times as slow</source>
        <translation>Den Augenblick der gewählten Korrektur dreimal so langsam als Film speichern</translation>
    </message>
    <message>
        <source>Sent before …</source>
        <translation>Früher gesendet …</translation>
    </message>
    <message>
        <source>and the day</source>
        <translation>und den Tag</translation>
    </message>
    <message>
        <source>Opening</source>
        <translation>Anfang</translation>
    </message>
    <message>
        <source>Closing</source>
        <translation>Schluss</translation>
    </message>
    <message>
        <source>Signed</source>
        <translation>Unterschrift</translation>
    </message>
    <message>
        <source>Open a review and keep what should be said; the letter appears here.</source>
        <translation>Eine Durchsicht öffnen und behalten, was gesagt werden soll; hier erscheint der Brief.</translation>
    </message>
    <message>
        <source>No letter yet</source>
        <translation>Noch kein Brief</translation>
    </message>
    <message>
        <source>Open a review and keep what should be said; the letter is written here.</source>
        <translation>Eine Durchsicht öffnen und behalten, was gesagt werden soll; hier entsteht der Brief.</translation>
    </message>
    <message>
        <source>Go to Review</source>
        <translation>Zur Durchsicht</translation>
    </message>
    <message>
        <source>The clip&apos;s file is not where it was: point to it in the review</source>
        <translation>Die Datei der Aufnahme ist nicht mehr dort: in der Durchsicht auf sie zeigen</translation>
    </message>
    <message>
        <source>Opening …</source>
        <translation>Wird geöffnet …</translation>
    </message>
    <message>
        <source>Letter to %1</source>
        <translation>Brief an %1</translation>
    </message>
    <message>
        <source>nothing chosen</source>
        <translation>nichts gewählt</translation>
    </message>
    <message>
        <source>Composing the page …</source>
        <translation>Die Seite wird gesetzt …</translation>
    </message>
    <message>
        <source>Nothing is kept yet: keep findings in the review first.</source>
        <translation>Noch nichts behalten: zuerst in der Durchsicht Befunde behalten.</translation>
    </message>
    <message>
        <source>a choice for the letter</source>
        <translation>eine Wahl für den Brief</translation>
    </message>
    <message>
        <source>%1 of at most 3 chosen</source>
        <translation>%1 von höchstens 3 gewählt</translation>
    </message>
    <message>
        <source>Save the letter</source>
        <translation>Den Brief speichern</translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation>PDF (*.pdf)</translation>
    </message>
    <message>
        <source>HTML (*.html)</source>
        <translation>HTML (*.html)</translation>
    </message>
    <message>
        <source>Saved: %1</source>
        <translation>Gespeichert: %1</translation>
    </message>
    <message>
        <source>Save elsewhere …</source>
        <translation>Anderswo speichern …</translation>
    </message>
    <message>
        <source>Change the words</source>
        <translation>Die Worte ändern</translation>
    </message>
    <message>
        <source>Writing the letter …</source>
        <translation>Der Brief wird geschrieben …</translation>
    </message>
    <message>
        <source>Save in slow motion</source>
        <translation>In Zeitlupe speichern</translation>
    </message>
    <message>
        <source>MP4 (*.mp4)</source>
        <translation>MP4 (*.mp4)</translation>
    </message>
    <message>
        <source>Making the clip …</source>
        <translation>Der Film wird gemacht …</translation>
    </message>
    <message>
        <source>Try again</source>
        <translation>Noch einmal</translation>
    </message>
    <message>
        <source>Template</source>
        <translation>Vorlage</translation>
    </message>
    <message>
        <source>Keep as …</source>
        <translation>Behalten als …</translation>
    </message>
    <message>
        <source>Keeps opening, closing and form as a template of your own</source>
        <translation>Behält Beginn, Schluss und Form als eigene Vorlage</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>Language of the letter</source>
        <translation>Sprache des Briefs</translation>
    </message>
    <message>
        <source>In People each person has a language of their own</source>
        <translation>Unter Menschen hat jede ihre eigene Sprache</translation>
    </message>
    <message>
        <source>Put in a field</source>
        <translation>Feld einsetzen</translation>
    </message>
    <message>
        <source>A name, a day or a figure that is looked up when the letter goes out</source>
        <translation>Ein Name, ein Tag oder ein Messwert, der nachgesehen wird, wenn der Brief hinausgeht</translation>
    </message>
    <message>
        <source>Words alone, without pictures</source>
        <translation>Nur Worte, ohne Bilder</translation>
    </message>
    <message>
        <source>Large type</source>
        <translation>Große Schrift</translation>
    </message>
    <message>
        <source>Own words …</source>
        <translation>Eigene Worte …</translation>
    </message>
    <message>
        <source>What you said in place of Bevel&apos;s cues, by rule and direction</source>
        <translation>Was du statt Bevels Hinweisen gesagt hast, nach Regel und Richtung</translation>
    </message>
    <message>
        <source>Look again on</source>
        <translation>Wieder ansehen am</translation>
    </message>
    <message>
        <source>Day of the next look</source>
        <translation>Tag des nächsten Blicks</translation>
    </message>
    <message>
        <source>One to two weeks on is usual</source>
        <translation>Üblich ist in ein bis zwei Wochen</translation>
    </message>
    <message>
        <source>Reminder for your calendar …</source>
        <translation>Erinnerung für deinen Kalender …</translation>
    </message>
    <message>
        <source>A calendar file with the day of the next look</source>
        <translation>Eine Kalenderdatei mit dem Tag des nächsten Blicks</translation>
    </message>
    <message>
        <source>Open in the mail program</source>
        <translation>Im Mailprogramm öffnen</translation>
    </message>
    <message>
        <source>Saves the letter and hands it over; Bevel itself sends nothing</source>
        <translation>Speichert den Brief und reicht ihn weiter; Bevel selbst verschickt nichts</translation>
    </message>
    <message>
        <source>Copy as text</source>
        <translation>Als Text kopieren</translation>
    </message>
    <message>
        <source>For a message: the words without pictures</source>
        <translation>Für eine Nachricht: die Worte ohne Bilder</translation>
    </message>
    <message>
        <source>It was sent</source>
        <translation>Verschickt</translation>
    </message>
    <message>
        <source>by mail</source>
        <translation>per Mail</translation>
    </message>
    <message>
        <source>as a message</source>
        <translation>als Nachricht</translation>
    </message>
    <message>
        <source>by hand</source>
        <translation>von Hand</translation>
    </message>
    <message>
        <source>not yet</source>
        <translation>noch nicht</translation>
    </message>
    <message>
        <source>no letter is needed</source>
        <translation>kein Brief ist nötig</translation>
    </message>
    <message>
        <source>It was answered …</source>
        <translation>Es kam Antwort …</translation>
    </message>
    <message>
        <source>Next look</source>
        <translation>Nächster Blick</translation>
    </message>
    <message>
        <source>Hand it over</source>
        <translation>Weitergeben</translation>
    </message>
    <message>
        <source>What became of it</source>
        <translation>Was daraus wurde</translation>
    </message>
    <message>
        <source>Parts of the letter</source>
        <translation>Teile des Briefs</translation>
    </message>
    <message>
        <source>Corrections</source>
        <translation>Korrekturen</translation>
    </message>
    <message>
        <source>Words</source>
        <translation>Worte</translation>
    </message>
    <message>
        <source>Sending</source>
        <translation>Verschicken</translation>
    </message>
    <message>
        <source>As PDF beside the last one, under a name of its own</source>
        <translation>Als PDF neben dem letzten, unter eigenem Namen</translation>
    </message>
    <message>
        <source>Typed by hand: %1. A figure should be a field, so that it is the one of this clip.</source>
        <translation>Von Hand getippt: %1. Ein Messwert sollte ein Feld sein, damit er der dieses Clips ist.</translation>
    </message>
    <message>
        <source>Look at it</source>
        <translation>Ansehen</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>Keep as a template</source>
        <translation>Als Vorlage behalten</translation>
    </message>
    <message>
        <source>Name of the template</source>
        <translation>Name der Vorlage</translation>
    </message>
    <message>
        <source>A figure belongs to this clip alone. Take it out before the words are kept as a template.</source>
        <translation>Ein Messwert gehört nur zu diesem Clip. Nimm ihn heraus, bevor die Worte als Vorlage bleiben.</translation>
    </message>
    <message>
        <source>Kept as “%1”.</source>
        <translation>Behalten als „%1“.</translation>
    </message>
    <message>
        <source>Draft: nothing was saved or sent yet.</source>
        <translation>Entwurf: Noch nichts ist gespeichert oder verschickt.</translation>
    </message>
    <message>
        <source>Done on %1 without a letter.</source>
        <translation>Am %1 ohne Brief erledigt.</translation>
    </message>
    <message>
        <source>Saved on %1. Whether it was sent is not said yet.</source>
        <translation>Gespeichert am %1. Ob verschickt, ist noch nicht gesagt.</translation>
    </message>
    <message>
        <source>Sent by mail on %1.</source>
        <translation>Am %1 per Mail verschickt.</translation>
    </message>
    <message>
        <source>Sent as a message on %1.</source>
        <translation>Am %1 als Nachricht verschickt.</translation>
    </message>
    <message>
        <source>Given by hand on %1.</source>
        <translation>Am %1 übergeben.</translation>
    </message>
    <message>
        <source>Answered on %1.</source>
        <translation>Beantwortet am %1.</translation>
    </message>
    <message>
        <source>Answered on %1: “%2”</source>
        <translation>Beantwortet am %1: „%2“</translation>
    </message>
    <message>
        <source>It was answered</source>
        <translation>Es kam Antwort</translation>
    </message>
    <message>
        <source>What was answered (may stay empty)</source>
        <translation>Was geantwortet wurde (darf leer bleiben)</translation>
    </message>
    <message>
        <source>Composing the words …</source>
        <translation>Die Worte entstehen …</translation>
    </message>
    <message>
        <source>Copied. Paste it into your message, then say here that it was sent.</source>
        <translation>Kopiert. Füge es in deine Nachricht ein und sag hier, dass es verschickt ist.</translation>
    </message>
    <message>
        <source>No mail program could be opened. The letter was saved: %1</source>
        <translation>Kein Mailprogramm ließ sich öffnen. Der Brief ist gespeichert: %1</translation>
    </message>
    <message>
        <source>The letter is in your mail program. Say here once it was sent.</source>
        <translation>Der Brief ist in deinem Mailprogramm. Sag hier, wenn er verschickt ist.</translation>
    </message>
    <message>
        <source>Save the reminder</source>
        <translation>Die Erinnerung speichern</translation>
    </message>
    <message>
        <source>Calendar (*.ics)</source>
        <translation>Kalender (*.ics)</translation>
    </message>
    <message>
        <source>New clip of %1: %2</source>
        <translation>Neuer Clip von %1: %2</translation>
    </message>
    <message>
        <source>The film was deleted when its time had come</source>
        <translation>Der Film wurde gelöscht, als seine Zeit gekommen war</translation>
    </message>
    <message>
        <source>Figures in small print</source>
        <translation>Werte klein gedruckt</translation>
    </message>
    <message>
        <source>For this and the letters after it</source>
        <translation>Für diesen und die folgenden Briefe</translation>
    </message>
    <message>
        <source>As pictures …</source>
        <translation>Als Bilder …</translation>
    </message>
    <message>
        <source>For a messenger: each correction as one upright picture</source>
        <translation>Für einen Nachrichtendienst: jede Korrektur als ein hochkantes Bild</translation>
    </message>
    <message>
        <source>Save as pictures</source>
        <translation>Als Bilder sichern</translation>
    </message>
    <message>
        <source>PNG (*.png)</source>
        <translation>PNG (*.png)</translation>
    </message>
    <message>
        <source>Drawing the cards …</source>
        <translation>Die Bilder werden gezeichnet …</translation>
    </message>
    <message>
        <source>No correction is chosen: there is nothing to draw.</source>
        <translation>Keine Korrektur ist gewählt: es gibt nichts zu zeichnen.</translation>
    </message>
    <message numerus="yes">
        <source>%n picture(s) saved beside %1</source>
        <translation>
            <numerusform>Ein Bild gesichert: %1</numerusform>
            <numerusform>%n Bilder gesichert neben %1</numerusform>
        </translation>
    </message>
    <message>
        <source>Letters of today</source>
        <translation>Briefe von heute</translation>
    </message>
    <message>
        <source>Composing the letters …</source>
        <translation>Die Briefe werden verfasst …</translation>
    </message>
    <message>
        <source>No letter was saved today.</source>
        <translation>Heute wurde kein Brief gesichert.</translation>
    </message>
    <message numerus="yes">
        <source>%n letter(s) saved for paper: %1</source>
        <translation>
            <numerusform>Ein Brief für Papier gesichert: %1</numerusform>
            <numerusform>%n Briefe für Papier gesichert: %1</numerusform>
        </translation>
    </message>
    <message>
        <source>Left out, look at them again: %1.</source>
        <translation>Ausgelassen, sehen Sie sie noch einmal an: %1.</translation>
    </message>
    <message>
        <source>All letters of today for paper …</source>
        <translation>Alle Briefe von heute für Papier …</translation>
    </message>
    <message>
        <source>One PDF: black and white, in large type, each letter on pages of its own</source>
        <translation>Ein PDF: schwarz-weiß, in großer Schrift, jeder Brief auf eigenen Seiten</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>%1 waits too: nothing was kept in it yet</source>
        <translation>%1 wartet auch: Darin wurde noch nichts behalten</translation>
    </message>
    <message>
        <source>Answers %1 too</source>
        <translation>Antwortet auch auf %1</translation>
    </message>
    <message>
        <source>How large a clip may be</source>
        <translation>Wie groß ein Film sein darf</translation>
    </message>
    <message>
        <source>Many messengers take a clip only up to a size: it is written smaller and coarser until it fits</source>
        <translation>Viele Nachrichtendienste nehmen Filme nur bis zu einer Größe: Er wird kleiner und gröber geschrieben, bis er passt</translation>
    </message>
    <message>
        <source>of any size</source>
        <translation>beliebig groß</translation>
    </message>
    <message>
        <source>up to %1 MB</source>
        <translation>bis %1 MB</translation>
    </message>
    <message>
        <source>Spoken …</source>
        <translation>Gesprochen …</translation>
    </message>
    <message>
        <source>For a messenger: the words said aloud by Bevel&apos;s voice</source>
        <translation>Für eine Nachricht: die Worte, von Bevels Stimme gesprochen</translation>
    </message>
    <message>
        <source>Save it spoken</source>
        <translation>Gesprochen speichern</translation>
    </message>
    <message>
        <source>Sound (*.ogg)</source>
        <translation>Ton (*.ogg)</translation>
    </message>
    <message>
        <source>Speaking …</source>
        <translation>Wird gesprochen …</translation>
    </message>
    <message>
        <source>Read the pages of the letter, or all in one look</source>
        <translation>Die Seiten des Briefs lesen oder alle auf einen Blick</translation>
    </message>
    <message>
        <source>Beside all pages in one look stands the chosen correction, large</source>
        <translation>Neben allen Seiten auf einen Blick steht die gewählte Korrektur, groß</translation>
    </message>
    <message>
        <source>Nothing says that they agree to be shown to others: ask before anybody else sees this, or hide who it is.</source>
        <translation>Nirgends steht, dass die Person einverstanden ist, anderen gezeigt zu werden: Fragen Sie, bevor es jemand anderes sieht, oder verbergen Sie, wer es ist.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::LetterView</name>
    <message>
        <source>Pages</source>
        <translation>Seiten</translation>
    </message>
    <message>
        <source>The chosen correction, large</source>
        <translation>Die gewählte Korrektur, groß</translation>
    </message>
    <message>
        <source>Page preview</source>
        <translation>Seitenvorschau</translation>
    </message>
    <message>
        <source>Read the pages</source>
        <translation>Die Seiten lesen</translation>
    </message>
    <message>
        <source>The pages at the size they are read, one under the other; again: all of them in one look</source>
        <translation>Die Seiten in Lesegröße, eine unter der anderen; noch einmal: alle auf einen Blick</translation>
    </message>
    <message>
        <source>No correction is chosen. The letter says what went well.</source>
        <translation>Keine Korrektur ist gewählt. Der Brief sagt, was gut ging.</translation>
    </message>
    <message>
        <source>The correction under the cursor is not in the letter: tick it, and it stands here.</source>
        <translation>Die Korrektur unter dem Zeiger steht nicht im Brief: Häkchen setzen, dann steht sie hier.</translation>
    </message>
    <message>
        <source>All pages in one look</source>
        <translation>Alle Seiten auf einen Blick</translation>
    </message>
</context>
<context>
    <name>bevel::ui::LimitDialog</name>
    <message>
        <source>A limit or an adaptation</source>
        <translation>Eine Grenze oder Anpassung</translation>
    </message>
    <message>
        <source>Change what was agreed</source>
        <translation>Vereinbartes ändern</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Not judged at all</source>
        <translation>Gar nicht beurteilt</translation>
    </message>
    <message>
        <source>At least</source>
        <translation>Mindestens</translation>
    </message>
    <message>
        <source>At most</source>
        <translation>Höchstens</translation>
    </message>
    <message>
        <source>as usual</source>
        <translation>wie üblich</translation>
    </message>
    <message>
        <source>What was agreed and why, in your words; no diagnosis</source>
        <translation>Was vereinbart wurde und warum, in deinen Worten; keine Diagnose</translation>
    </message>
    <message>
        <source>until</source>
        <translation>bis</translation>
    </message>
    <message>
        <source>What is judged</source>
        <translation>Was beurteilt wird</translation>
    </message>
    <message>
        <source>Band</source>
        <translation>Band</translation>
    </message>
    <message>
        <source>Reason</source>
        <translation>Grund</translation>
    </message>
    <message>
        <source>From</source>
        <translation>Ab</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>Usually: %1</source>
        <translation>Üblich: %1</translation>
    </message>
    <message>
        <source>The usual band depends on the stance.</source>
        <translation>Das übliche Band hängt vom Stand ab.</translation>
    </message>
    <message>
        <source>Say why: what was agreed owes a reason.</source>
        <translation>Sag warum: Eine Vereinbarung schuldet einen Grund.</translation>
    </message>
    <message>
        <source>Give the band an end, or say that it is not judged.</source>
        <translation>Gib dem Band ein Ende, oder sag, dass nicht beurteilt wird.</translation>
    </message>
    <message>
        <source>The least is above the most.</source>
        <translation>Das Mindeste liegt über dem Höchsten.</translation>
    </message>
    <message>
        <source>It ends before it begins.</source>
        <translation>Es endet, bevor es beginnt.</translation>
    </message>
    <message>
        <source>Plans of practice leave it out or take the gentler version, and no review asks for it.</source>
        <translation>Übungspläne lassen es weg oder nehmen die sanftere Fassung, und keine Durchsicht verlangt es.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::LimitStrip</name>
    <message>
        <source>What stands in the way, along the clip</source>
        <translation>Was im Weg steht, entlang der Aufnahme</translation>
    </message>
    <message>
        <source>from %1 to %2</source>
        <translation>von %1 bis %2</translation>
    </message>
    <message>
        <source>%1, from %2 to %3</source>
        <translation>%1, von %2 bis %3</translation>
    </message>
</context>
<context>
    <name>bevel::ui::LinkedEditor</name>
    <message>
        <source>Change the form</source>
        <translation>Die Form ändern</translation>
    </message>
    <message>
        <source>Make a copy</source>
        <translation>Kopie anlegen</translation>
    </message>
    <message>
        <source>A form of your own that begins as this one</source>
        <translation>Eine eigene Form, die wie diese beginnt</translation>
    </message>
    <message>
        <source>As shipped</source>
        <translation>Wie geliefert</translation>
    </message>
    <message>
        <source>Takes back all of your own changes to this form</source>
        <translation>Nimmt alle eigenen Änderungen an dieser Form zurück</translation>
    </message>
    <message>
        <source>Export …</source>
        <translation>Exportieren …</translation>
    </message>
    <message>
        <source>Writes the form to a file, for another instructor</source>
        <translation>Schreibt die Form in eine Datei, für andere Lehrende</translation>
    </message>
    <message>
        <source>Import …</source>
        <translation>Importieren …</translation>
    </message>
    <message>
        <source>Reads a form or a movement from a file</source>
        <translation>Liest eine Form oder eine Bewegung aus einer Datei</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>the name</source>
        <translation>der Name</translation>
    </message>
    <message>
        <source>What it is for</source>
        <translation>Wozu sie dient</translation>
    </message>
    <message>
        <source>what it is for</source>
        <translation>wozu sie dient</translation>
    </message>
    <message>
        <source>Parts in their order</source>
        <translation>Teile in ihrer Folge</translation>
    </message>
    <message>
        <source>Parts, in their order: drag, or Alt with ↑ ↓</source>
        <translation>Teile in ihrer Folge: ziehen, oder Alt mit ↑ ↓</translation>
    </message>
    <message>
        <source>The part one earlier</source>
        <translation>Den Teil einen Platz früher</translation>
    </message>
    <message>
        <source>The part one later</source>
        <translation>Den Teil einen Platz später</translation>
    </message>
    <message>
        <source>Again</source>
        <translation>Noch einmal</translation>
    </message>
    <message>
        <source>The same part once more after it, led by the other side</source>
        <translation>Derselbe Teil danach noch einmal, von der anderen Seite geführt</translation>
    </message>
    <message>
        <source>Take out</source>
        <translation>Heraus</translation>
    </message>
    <message>
        <source>The part is left out of the form</source>
        <translation>Der Teil fällt aus der Form</translation>
    </message>
    <message>
        <source>Movement to add</source>
        <translation>Bewegung, die dazukommt</translation>
    </message>
    <message>
        <source>Add it</source>
        <translation>Dazu</translation>
    </message>
    <message>
        <source>After the chosen part</source>
        <translation>Nach dem gewählten Teil</translation>
    </message>
    <message>
        <source>the order of the parts</source>
        <translation>die Folge der Teile</translation>
    </message>
    <message>
        <source>a part taken out</source>
        <translation>ein Teil herausgenommen</translation>
    </message>
    <message>
        <source>a part once more</source>
        <translation>ein Teil noch einmal</translation>
    </message>
    <message>
        <source>a part added</source>
        <translation>ein Teil dazu</translation>
    </message>
    <message>
        <source>Movement of the part</source>
        <translation>Bewegung des Teils</translation>
    </message>
    <message>
        <source>Graded version of the part</source>
        <translation>Leichtere Weise des Teils</translation>
    </message>
    <message>
        <source>Side that leads</source>
        <translation>Seite, die führt</translation>
    </message>
    <message>
        <source>left leads</source>
        <translation>links führt</translation>
    </message>
    <message>
        <source>right leads</source>
        <translation>rechts führt</translation>
    </message>
    <message>
        <source>in turn, left first</source>
        <translation>im Wechsel, links zuerst</translation>
    </message>
    <message>
        <source>in turn, right first</source>
        <translation>im Wechsel, rechts zuerst</translation>
    </message>
    <message>
        <source>First phase that is done</source>
        <translation>Erste Phase, die getan wird</translation>
    </message>
    <message>
        <source>Last phase that is done</source>
        <translation>Letzte Phase, die getan wird</translation>
    </message>
    <message>
        <source>The chosen part</source>
        <translation>Der gewählte Teil</translation>
    </message>
    <message>
        <source>the movement of a part</source>
        <translation>die Bewegung eines Teils</translation>
    </message>
    <message>
        <source>the version of a part</source>
        <translation>die Weise eines Teils</translation>
    </message>
    <message>
        <source>the side that leads</source>
        <translation>die Seite, die führt</translation>
    </message>
    <message>
        <source>the phases of a part</source>
        <translation>die Phasen eines Teils</translation>
    </message>
    <message>
        <source>called in this form</source>
        <translation>heißt in dieser Form</translation>
    </message>
    <message>
        <source>The name of the part in this form; empty: the movement&apos;s own</source>
        <translation>Der Name des Teils in dieser Form; leer: der der Bewegung</translation>
    </message>
    <message>
        <source>taught with</source>
        <translation>gelehrt mit</translation>
    </message>
    <message>
        <source>Parts of one group are taught together: the same word for all of them</source>
        <translation>Teile einer Gruppe werden zusammen gelehrt: dasselbe Wort für alle</translation>
    </message>
    <message>
        <source>the name of a part</source>
        <translation>der Name eines Teils</translation>
    </message>
    <message>
        <source>the group of a part</source>
        <translation>die Gruppe eines Teils</translation>
    </message>
    <message>
        <source>How often</source>
        <translation>Wie oft</translation>
    </message>
    <message>
        <source>How often it is done before the next part</source>
        <translation>Wie oft er getan wird, ehe der nächste kommt</translation>
    </message>
    <message>
        <source>Turn before it</source>
        <translation>Drehung davor</translation>
    </message>
    <message>
        <source>Turn before it, degrees: to own left above 0, to own right below</source>
        <translation>Drehung davor, Grad: über 0 nach links, darunter nach rechts</translation>
    </message>
    <message>
        <source>turn </source>
        <translation>Drehung </translation>
    </message>
    <message>
        <source>Time of the part</source>
        <translation>Dauer des Teils</translation>
    </message>
    <message>
        <source>How long it takes against the movement&apos;s own time: 100 % is its own, 150 % half as long again</source>
        <translation>Wie lange er dauert, gemessen an der Bewegung selbst: 100 % ist ihre Zeit, 150 % die Hälfte länger</translation>
    </message>
    <message>
        <source> % time</source>
        <translation> % Dauer</translation>
    </message>
    <message>
        <source>how often a part is done</source>
        <translation>wie oft ein Teil getan wird</translation>
    </message>
    <message>
        <source>the turn before a part</source>
        <translation>die Drehung vor einem Teil</translation>
    </message>
    <message>
        <source>the time of a part</source>
        <translation>die Dauer eines Teils</translation>
    </message>
    <message>
        <source>in turn</source>
        <translation>im Wechsel</translation>
    </message>
    <message>
        <source>As it came with Bevel. Any change makes it your own; it can be taken back.</source>
        <translation>Wie mit Bevel geliefert. Jede Änderung macht sie zu Ihrer eigenen; sie lässt sich zurücknehmen.</translation>
    </message>
    <message>
        <source>Your own version; the shipped one is kept.</source>
        <translation>Ihre eigene Fassung; die gelieferte bleibt erhalten.</translation>
    </message>
    <message>
        <source>A form of your own.</source>
        <translation>Eine eigene Form.</translation>
    </message>
    <message>
        <source>Delete it</source>
        <translation>Löschen</translation>
    </message>
    <message>
        <source>from start</source>
        <translation>von Anfang</translation>
    </message>
    <message>
        <source>to end</source>
        <translation>bis Ende</translation>
    </message>
    <message>
        <source>from: %1</source>
        <translation>ab: %1</translation>
    </message>
    <message>
        <source>until: %1</source>
        <translation>bis: %1</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>wie sie ist</translation>
    </message>
</context>
<context>
    <name>bevel::ui::LogDialog</name>
    <message>
        <source>How was it?</source>
        <translation>Wie war es?</translation>
    </message>
    <message>
        <source>what was practised</source>
        <translation>was geübt wurde</translation>
    </message>
    <message>
        <source> min</source>
        <translation> min</translation>
    </message>
    <message>
        <source>0 nothing, 10 the most; about 7 is plenty</source>
        <translation>0 nichts, 10 das Äußerste; etwa 7 ist reichlich</translation>
    </message>
    <message>
        <source>where, if anywhere</source>
        <translation>wo, falls irgendwo</translation>
    </message>
    <message>
        <source>Make it smaller next time. Where it stays, ask a licensed clinician.</source>
        <translation>Mach es nächstes Mal kleiner. Bleibt es, frag eine Fachperson.</translation>
    </message>
    <message>
        <source>What</source>
        <translation>Was</translation>
    </message>
    <message>
        <source>How long</source>
        <translation>Wie lange</translation>
    </message>
    <message>
        <source>Effort, 0 to 10</source>
        <translation>Mühe, 0 bis 10</translation>
    </message>
    <message>
        <source>How it felt</source>
        <translation>Wie es war</translation>
    </message>
    <message>
        <source>Pain</source>
        <translation>Schmerz</translation>
    </message>
    <message>
        <source>%1: %2 left, %3 right</source>
        <translation>%1: %2 links, %3 rechts</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Done</source>
        <translation>Getan</translation>
    </message>
    <message>
        <source>%1 of %2 minutes; repeats left %3 of %4, right %5 of %6</source>
        <translation>%1 von %2 Minuten; Wiederholungen links %3 von %4, rechts %5 von %6</translation>
    </message>
    <message>
        <source>Of the plan</source>
        <translation>Vom Plan</translation>
    </message>
    <message>
        <source>Balance next time</source>
        <translation>Gleichgewicht beim nächsten Mal</translation>
    </message>
    <message>
        <source>one step down: %1</source>
        <translation>eine Stufe zurück: %1</translation>
    </message>
    <message>
        <source>as today: %1</source>
        <translation>wie heute: %1</translation>
    </message>
    <message>
        <source>one step up: %1</source>
        <translation>eine Stufe weiter: %1</translation>
    </message>
</context>
<context>
    <name>bevel::ui::LogView</name>
    <message>
        <source>Minutes by week</source>
        <translation>Minuten je Woche</translation>
    </message>
    <message>
        <source>Nothing was practised yet</source>
        <translation>Noch wurde nichts geübt</translation>
    </message>
    <message>
        <source>L | R</source>
        <translation>L | R</translation>
    </message>
    <message>
        <source>Practice log</source>
        <translation>Übungsbuch</translation>
    </message>
    <message>
        <source>Day</source>
        <translation>Tag</translation>
    </message>
    <message>
        <source>What</source>
        <translation>Was</translation>
    </message>
    <message>
        <source>Minutes</source>
        <translation>Minuten</translation>
    </message>
    <message>
        <source>Effort</source>
        <translation>Mühe</translation>
    </message>
    <message>
        <source>How it felt</source>
        <translation>Wie es war</translation>
    </message>
    <message>
        <source>Pain</source>
        <translation>Schmerz</translation>
    </message>
    <message>
        <source>Add practice …</source>
        <translation>Übung eintragen …</translation>
    </message>
    <message>
        <source>Take out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>CSV …</source>
        <translation>CSV …</translation>
    </message>
    <message>
        <source>PDF …</source>
        <translation>PDF …</translation>
    </message>
    <message>
        <source>Repeats: %1 left, %2 right.</source>
        <translation>Wiederholungen: %1 links, %2 rechts.</translation>
    </message>
    <message>
        <source>Pain last time (%1): make it smaller. Where it stays, ask a licensed clinician.</source>
        <translation>Schmerz beim letzten Mal (%1): Mach es kleiner. Bleibt er, frag eine Fachperson.</translation>
    </message>
    <message>
        <source>Save the log</source>
        <translation>Das Übungsbuch speichern</translation>
    </message>
    <message>
        <source>CSV (*.csv)</source>
        <translation>CSV (*.csv)</translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation>PDF (*.pdf)</translation>
    </message>
    <message>
        <source>Saved: %1</source>
        <translation>Gespeichert: %1</translation>
    </message>
    <message>
        <source>Practice</source>
        <translation>Üben</translation>
    </message>
    <message>
        <source>Practice of %1</source>
        <translation>Üben von %1</translation>
    </message>
</context>
<context>
    <name>bevel::ui::MainWindow</name>
    <message>
        <source>Bevel</source>
        <translation>Bevel</translation>
    </message>
    <message>
        <source>%1 (Ctrl+%2)</source>
        <translation>%1 (Strg+%2)</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Rückgängig</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Wiederholen</translation>
    </message>
    <message>
        <source>Quit</source>
        <translation>Beenden</translation>
    </message>
    <message>
        <source>Settings …</source>
        <translation>Einstellungen …</translation>
    </message>
    <message>
        <source>Colours of the system</source>
        <translation>Farben des Systems</translation>
    </message>
    <message>
        <source>Light</source>
        <translation>Hell</translation>
    </message>
    <message>
        <source>Dark</source>
        <translation>Dunkel</translation>
    </message>
    <message>
        <source>Measures, rules and marks</source>
        <translation>Maße, Regeln und Zeichen</translation>
    </message>
    <message>
        <source>Keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>About Bevel</source>
        <translation>Über Bevel</translation>
    </message>
    <message>
        <source>&lt;b&gt;Bevel %1&lt;/b&gt;&lt;p&gt;Measures practice of tai chi and qigong and holds it against the movement.&lt;/p&gt;&lt;p&gt;GPL-3.0-or-later. Built on Qt, Eigen, FFmpeg, SQLite, XNNPACK, QPDF, libarchive, Nettle and Open Sans; the body is found with networks under the Apache License 2.0.&lt;/p&gt;&lt;p&gt;Everything stays on this computer. %2&lt;/p&gt;</source>
        <translation>&lt;b&gt;Bevel %1&lt;/b&gt;&lt;p&gt;Misst das Üben von Taiji und Qigong und hält es an die Bewegung.&lt;/p&gt;&lt;p&gt;GPL-3.0-or-later. Gebaut auf Qt, Eigen, FFmpeg, SQLite, XNNPACK, QPDF, libarchive, Nettle und Open Sans; der Körper wird mit Netzen unter der Apache License 2.0 gefunden.&lt;/p&gt;&lt;p&gt;Alles bleibt auf diesem Rechner. %2&lt;/p&gt;</translation>
    </message>
    <message>
        <source>The next clip that waits</source>
        <translation>Der nächste wartende Clip</translation>
    </message>
    <message>
        <source>Who waits longest first; the one that is open is left for later</source>
        <translation>Wer am längsten wartet, zuerst; der offene bleibt für später</translation>
    </message>
    <message numerus="yes">
        <source>%n record(s) of this library point to something that is not there; they are left as they are. A backup from before may be whole.</source>
        <translation>
            <numerusform>%n Eintrag dieser Bibliothek verweist auf etwas, das nicht da ist; er bleibt, wie er ist. Eine frühere Sicherung ist vielleicht heil.</numerusform>
            <numerusform>%n Einträge dieser Bibliothek verweisen auf etwas, das nicht da ist; sie bleiben, wie sie sind. Eine frühere Sicherung ist vielleicht heil.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>bevel::ui::MarkView</name>
    <message>
        <source>Frame to mark</source>
        <translation>Bild zum Markieren</translation>
    </message>
    <message>
        <source>The picture is being made …</source>
        <translation>Das Bild entsteht …</translation>
    </message>
    <message>
        <source>, unsure</source>
        <translation>, unsicher</translation>
    </message>
    <message>
        <source>Enter begins a line, the arrows move its end, Tab changes the end, Enter takes it, Escape leaves it. Corners and edges: Enter brings a cross, the arrows move it, Enter sets a point, End finishes an edge, Backspace takes the last point back. With points: Page Up and Page Down choose one, the arrows move it, with Ctrl the whole body; Ctrl and Page Up or Page Down make it larger or smaller.</source>
        <translation>Eingabe beginnt eine Linie, die Pfeile bewegen ihr Ende, Tab wechselt das Ende, Eingabe übernimmt sie, Esc verwirft sie. Ecken und Kanten: Eingabe bringt ein Kreuz, die Pfeile bewegen es, Eingabe setzt einen Punkt, Ende schließt eine Kante ab, die Rücktaste nimmt den letzten Punkt zurück. Bei Punkten: Bild auf und Bild ab wählen einen, die Pfeile bewegen ihn, mit Strg den ganzen Körper; Strg und Bild auf oder Bild ab machen ihn größer oder kleiner.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::MeantDialog</name>
    <message>
        <source>Which one is the student?</source>
        <translation>Welche Person übt?</translation>
    </message>
    <message>
        <source>Looking for people …</source>
        <translation>Menschen werden gesucht …</translation>
    </message>
    <message>
        <source>Where in the beginning of the clip</source>
        <translation>Wo am Anfang des Clips</translation>
    </message>
    <message>
        <source>Nobody is found on this frame. Move along the clip.</source>
        <translation>In diesem Bild wird niemand gefunden. Im Clip weitergehen.</translation>
    </message>
    <message>
        <source>Click the student, or press the number. The body is looked for again; the others are only kept apart.</source>
        <translation>Die übende Person anklicken oder die Zahl drücken. Der Körper wird neu gesucht; die anderen werden nur getrennt gehalten.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::NeedsForm</name>
    <message>
        <source>For whom</source>
        <translation>Für wen</translation>
    </message>
    <message>
        <source>Minutes at hand</source>
        <translation>Minuten, die da sind</translation>
    </message>
    <message>
        <source> min</source>
        <translation> min</translation>
    </message>
    <message>
        <source>Energy today, 0 to 10</source>
        <translation>Kraft heute, 0 bis 10</translation>
    </message>
    <message>
        <source>energy </source>
        <translation>Kraft </translation>
    </message>
    <message>
        <source>Pace, times the movements&apos; own</source>
        <translation>Tempo, Vielfaches der eigenen Dauer</translation>
    </message>
    <message>
        <source>1.3: everything takes a third longer</source>
        <translation>1,3: Alles dauert ein Drittel länger</translation>
    </message>
    <message>
        <source>One breath in and out, seconds</source>
        <translation>Ein Atemzug ein und aus, Sekunden</translation>
    </message>
    <message>
        <source>The student&apos;s own: 3 to 4 s in and as much out is usual at the start</source>
        <translation>Der eigene des Schülers: 3 bis 4 s ein und ebenso lange aus sind am Anfang üblich</translation>
    </message>
    <message>
        <source>dizzy</source>
        <translation>schwindlig</translation>
    </message>
    <message>
        <source>unsteady</source>
        <translation>unsicher</translation>
    </message>
    <message>
        <source>neck</source>
        <translation>Nacken</translation>
    </message>
    <message>
        <source>low back</source>
        <translation>unterer Rücken</translation>
    </message>
    <message>
        <source>shoulders</source>
        <translation>Schultern</translation>
    </message>
    <message>
        <source>knees</source>
        <translation>Knie</translation>
    </message>
    <message>
        <source>Asks for care: %1</source>
        <translation>Braucht Schonung: %1</translation>
    </message>
    <message>
        <source>Theme: %1</source>
        <translation>Thema: %1</translation>
    </message>
    <message>
        <source>chair</source>
        <translation>Stuhl</translation>
    </message>
    <message>
        <source>wall</source>
        <translation>Wand</translation>
    </message>
    <message>
        <source>stick</source>
        <translation>Stock</translation>
    </message>
    <message>
        <source>A movement to ask for</source>
        <translation>Eine gewünschte Bewegung</translation>
    </message>
    <message>
        <source>Ask for it</source>
        <translation>Wünschen</translation>
    </message>
    <message>
        <source>Asked for; Delete takes one out</source>
        <translation>Gewünscht; Entf nimmt eins heraus</translation>
    </message>
    <message>
        <source>Enter or a double click takes one out; drag them into the order of a sequence</source>
        <translation>Eingabe oder Doppelklick nimmt eine heraus; ziehe sie in die Reihenfolge einer Folge</translation>
    </message>
    <message>
        <source>For whom, and how long</source>
        <translation>Für wen, und wie lange</translation>
    </message>
    <message>
        <source>Today</source>
        <translation>Heute</translation>
    </message>
    <message>
        <source>Themes</source>
        <translation>Themen</translation>
    </message>
    <message>
        <source>At hand</source>
        <translation>Zur Hand</translation>
    </message>
    <message>
        <source>Asked for</source>
        <translation>Gewünscht</translation>
    </message>
    <message>
        <source>a group, or myself</source>
        <translation>eine Gruppe oder ich selbst</translation>
    </message>
    <message>
        <source>Last letter: %1 (%2)</source>
        <translation>Letzter Brief: %1 (%2)</translation>
    </message>
    <message>
        <source>Nothing by letters or agreements.</source>
        <translation>Nichts aus Briefen oder Vereinbarungen.</translation>
    </message>
    <message>
        <source>as a growing sequence</source>
        <translation>als wachsende Folge</translation>
    </message>
    <message>
        <source>Movement by movement: 1, 1–2, 1–2–3 …, with the joins alone</source>
        <translation>Bewegung um Bewegung: 1, 1–2, 1–2–3 …, die Übergänge allein</translation>
    </message>
    <message>
        <source>The steadier side on one leg</source>
        <translation>Die sicherere Seite auf einem Bein</translation>
    </message>
    <message>
        <source>Balance begins on the steadier side</source>
        <translation>Gleichgewicht beginnt auf der sichereren Seite</translation>
    </message>
    <message>
        <source>either side first</source>
        <translation>eine Seite zuerst</translation>
    </message>
    <message>
        <source>left is steadier</source>
        <translation>links ist sicherer</translation>
    </message>
    <message>
        <source>right is steadier</source>
        <translation>rechts ist sicherer</translation>
    </message>
    <message>
        <source>helper</source>
        <translation>Helfer</translation>
    </message>
    <message>
        <source>Somebody stands beside on one leg</source>
        <translation>Auf einem Bein steht jemand daneben</translation>
    </message>
    <message>
        <source>Who is in the group</source>
        <translation>Wer in der Gruppe ist</translation>
    </message>
    <message>
        <source>What is agreed with any of them holds for the whole group</source>
        <translation>Was mit einem von ihnen vereinbart ist, gilt für die ganze Gruppe</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>wrists</source>
        <translation>Handgelenke</translation>
    </message>
    <message>
        <source>hips</source>
        <translation>Hüften</translation>
    </message>
    <message>
        <source>A form, piece by piece</source>
        <translation>Eine Form, Stück für Stück</translation>
    </message>
    <message>
        <source>Its parts one by one, the joins alone, and the whole up to there; the parts that the last letter asked for more often</source>
        <translation>Ihre Teile einzeln, die Übergänge allein und das Ganze bis dorthin; öfter die Teile, um die der letzte Brief bat</translation>
    </message>
    <message>
        <source>How many of its parts are known</source>
        <translation>Wie viele ihrer Teile bekannt sind</translation>
    </message>
    <message>
        <source>So many parts are known; the next ones are new</source>
        <translation>So viele Teile sind bekannt; die nächsten sind neu</translation>
    </message>
    <message>
        <source>known: </source>
        <translation>bekannt: </translation>
    </message>
    <message>
        <source>all of it is new</source>
        <translation>alles ist neu</translation>
    </message>
    <message>
        <source>sides changed over</source>
        <translation>Seiten vertauscht</translation>
    </message>
    <message>
        <source>The whole form with left and right changed over</source>
        <translation>Die ganze Form mit vertauschten Seiten</translation>
    </message>
    <message>
        <source>from memory</source>
        <translation>aus dem Kopf</translation>
    </message>
    <message>
        <source>What is known without the figure; the names are told once a part is over</source>
        <translation>Was bekannt ist, ohne die Figur; die Namen kommen, wenn ein Teil vorbei ist</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keine</translation>
    </message>
    <message numerus="yes">
        <source> of %n part(s)</source>
        <translation>
            <numerusform> von %n Teil</numerusform>
            <numerusform> von %n Teilen</numerusform>
        </translation>
    </message>
    <message>
        <source>Asks for care</source>
        <translation>Schonung</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>nichts</translation>
    </message>
    <message>
        <source>none in particular</source>
        <translation>keine besonderen</translation>
    </message>
    <message>
        <source>Pace and breath</source>
        <translation>Tempo und Atem</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>energy: not said</source>
        <translation>Energie: nicht gesagt</translation>
    </message>
    <message>
        <source>usual pace</source>
        <translation>übliches Tempo</translation>
    </message>
    <message>
        <source>%1 times as long</source>
        <translation>%1-mal so lang</translation>
    </message>
    <message>
        <source>a breath of </source>
        <translation>ein Atemzug von </translation>
    </message>
    <message>
        <source> s</source>
        <translation> s</translation>
    </message>
    <message>
        <source>Plan without the course</source>
        <translation>Ohne den Kurs planen</translation>
    </message>
</context>
<context>
    <name>bevel::ui::NeutralDialog</name>
    <message>
        <source>What is right for %1</source>
        <translation>Was für %1 richtig ist</translation>
    </message>
    <message>
        <source>Head, shoulders and back are held against what is right for this person instead of the quiet stand of each clip, so that a habit shows, and shows when it goes. Mark such moments in Review; nothing is learned by itself.</source>
        <translation>Kopf, Schultern und Rücken werden an dem gemessen, was für diese Person richtig ist, statt am ruhigen Stand jeder Aufnahme; so zeigt sich eine Gewohnheit, und auch, wenn sie vergeht. Solche Momente werden in der Durchsicht markiert; nichts wird von selbst gelernt.</translation>
    </message>
    <message>
        <source>Moments that are right</source>
        <translation>Richtige Momente</translation>
    </message>
    <message>
        <source>%1, at %2, %3: %4</source>
        <translation>%1, bei %2, %3: %4</translation>
    </message>
    <message>
        <source>a clip that is gone</source>
        <translation>eine Aufnahme, die es nicht mehr gibt</translation>
    </message>
    <message>
        <source>No moment is marked yet: in Review, “This moment is right for the student” (R).</source>
        <translation>Noch ist kein Moment markiert: in der Durchsicht „Dieser Moment ist für den Schüler richtig“ (R).</translation>
    </message>
    <message>
        <source>No longer right</source>
        <translation>Nicht mehr richtig</translation>
    </message>
    <message>
        <source>Look at it</source>
        <translation>Ansehen</translation>
    </message>
    <message>
        <source> in</source>
        <translation> in</translation>
    </message>
    <message>
        <source> cm</source>
        <translation> cm</translation>
    </message>
    <message>
        <source>not set</source>
        <translation>nicht gesetzt</translation>
    </message>
    <message>
        <source>Set by hand</source>
        <translation>Von Hand gesetzt</translation>
    </message>
    <message>
        <source>Ears ahead of the shoulders</source>
        <translation>Ohren vor den Schultern</translation>
    </message>
    <message>
        <source>Left shoulder below the ear</source>
        <translation>Linke Schulter unter dem Ohr</translation>
    </message>
    <message>
        <source>Right shoulder below the ear</source>
        <translation>Rechte Schulter unter dem Ohr</translation>
    </message>
    <message>
        <source>Nose over the ears</source>
        <translation>Nase über den Ohren</translation>
    </message>
    <message>
        <source>°</source>
        <translation>°</translation>
    </message>
    <message>
        <source>Rounding of the upper back</source>
        <translation>Rundung des oberen Rückens</translation>
    </message>
    <message>
        <source>Hollow of the low back</source>
        <translation>Höhlung des unteren Rückens</translation>
    </message>
    <message>
        <source>How far with ease</source>
        <translation>Wie weit mit Leichtigkeit</translation>
    </message>
    <message>
        <source>%1 (clip of %2)</source>
        <translation>%1 (Aufnahme vom %2)</translation>
    </message>
    <message>
        <source>The hips sink, of their height</source>
        <translation>Die Hüften sinken, von ihrer Höhe</translation>
    </message>
    <message>
        <source> %</source>
        <translation> %</translation>
    </message>
    <message>
        <source>Shoulders turn against the hips</source>
        <translation>Die Schultern drehen gegen die Hüften</translation>
    </message>
    <message>
        <source>The trunk bends sideways</source>
        <translation>Der Rumpf neigt sich zur Seite</translation>
    </message>
    <message>
        <source>From a gentle test or as the person says, never to the limit, never in pain or when dizzy. Practice is asked to stay at about seven tenths of it.</source>
        <translation>Aus einer sanften Probe oder wie die Person es sagt, nie bis zur Grenze, nie bei Schmerz oder Schwindel. Die Übung soll bei etwa sieben Zehnteln davon bleiben.</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>A back known to be stooped leans by</source>
        <translation>Ein bekannt gebeugter Rücken neigt sich um</translation>
    </message>
</context>
<context>
    <name>bevel::ui::NewPersonDialog</name>
    <message>
        <source>Add a person</source>
        <translation>Person hinzufügen</translation>
    </message>
    <message>
        <source> in</source>
        <translation> in</translation>
    </message>
    <message>
        <source> cm</source>
        <translation> cm</translation>
    </message>
    <message>
        <source>not said</source>
        <translation>nicht gesagt</translation>
    </message>
    <message>
        <source>It gives the scale of the picture. Not said: lengths are told by the spread of grown people.</source>
        <translation>Sie gibt den Maßstab des Bildes. Nicht gesagt: Längen nach der Streuung Erwachsener.</translation>
    </message>
    <message>
        <source>Name or alias</source>
        <translation>Name oder Alias</translation>
    </message>
    <message>
        <source>Height</source>
        <translation>Größe</translation>
    </message>
</context>
<context>
    <name>bevel::ui::Notice</name>
    <message>
        <source>Way out</source>
        <translation>Ausweg</translation>
    </message>
</context>
<context>
    <name>bevel::ui::PacerWindow</name>
    <message>
        <source>Practice</source>
        <translation>Üben</translation>
    </message>
    <message>
        <source>STOP</source>
        <translation>HALT</translation>
    </message>
    <message>
        <source>Ends the run at once (Esc)</source>
        <translation>Beendet sofort (Esc)</translation>
    </message>
    <message>
        <source>Pause</source>
        <translation>Pause</translation>
    </message>
    <message>
        <source>Space, or the foot switch</source>
        <translation>Leertaste oder Fußschalter</translation>
    </message>
    <message>
        <source>Back</source>
        <translation>Zurück</translation>
    </message>
    <message>
        <source>Page up: to the beginning of this, then the one before</source>
        <translation>Bild auf: an den Anfang, dann die davor</translation>
    </message>
    <message>
        <source>Skip</source>
        <translation>Überspringen</translation>
    </message>
    <message>
        <source>Page down</source>
        <translation>Bild ab</translation>
    </message>
    <message>
        <source>Longer</source>
        <translation>Länger</translation>
    </message>
    <message>
        <source>Plus: one more on each side, one more hold</source>
        <translation>Plus: je Seite eins mehr, einmal mehr halten</translation>
    </message>
    <message>
        <source>Once more on the other side</source>
        <translation>Noch einmal auf der anderen Seite</translation>
    </message>
    <message>
        <source>O</source>
        <translation>O</translation>
    </message>
    <message>
        <source>Leaves out what is least needed</source>
        <translation>Lässt weg, was am wenigsten fehlt</translation>
    </message>
    <message>
        <source>As in a mirror</source>
        <translation>Wie im Spiegel</translation>
    </message>
    <message>
        <source>The figure faces you and moves as your mirror image</source>
        <translation>Die Figur sieht dich an und bewegt sich als dein Spiegelbild</translation>
    </message>
    <message>
        <source>From behind</source>
        <translation>Von hinten</translation>
    </message>
    <message>
        <source>From memory</source>
        <translation>Aus dem Gedächtnis</translation>
    </message>
    <message>
        <source>The figure is hidden: for recalling</source>
        <translation>Die Figur ist verborgen: zum Erinnern</translation>
    </message>
    <message>
        <source>No voice is there: tones and captions alone.</source>
        <translation>Es ist keine Stimme da: nur Töne und Untertitel.</translation>
    </message>
    <message>
        <source>Go on</source>
        <translation>Weiter</translation>
    </message>
    <message>
        <source>Go</source>
        <translation>Los</translation>
    </message>
    <message>
        <source>Space pauses · Esc stops</source>
        <translation>Leertaste hält an · Esc beendet</translation>
    </message>
    <message>
        <source>Space pauses · Esc stops · no sound device: the system&apos;s clock leads</source>
        <translation>Leertaste hält an · Esc beendet · kein Tongerät: Die Systemuhr führt</translation>
    </message>
    <message numerus="yes">
        <source>%n minute(s) behind: drop %1</source>
        <translation>
            <numerusform>%n Minute zurück: %1 weglassen</numerusform>
            <numerusform>%n Minuten zurück: %1 weglassen</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n exercise(s)</source>
        <translation>
            <numerusform>%n Übung</numerusform>
            <numerusform>%n Übungen</numerusform>
        </translation>
    </message>
    <message>
        <source>With “As in a mirror” too, both stand side by side</source>
        <translation>Mit „Wie im Spiegel“ zusammen stehen beide nebeneinander</translation>
    </message>
    <message>
        <source>as in a mirror</source>
        <translation>wie im Spiegel</translation>
    </message>
    <message>
        <source>from behind</source>
        <translation>von hinten</translation>
    </message>
    <message>
        <source>Face to face</source>
        <translation>Gegenüber</translation>
    </message>
    <message>
        <source>Whoever leads faces the group and moves as its mirror image: their own side is shown too. What is called is the side of the group.</source>
        <translation>Wer anleitet, steht der Gruppe gegenüber und bewegt sich als ihr Spiegelbild: Die eigene Seite wird auch gezeigt. Angesagt wird die Seite der Gruppe.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::PageStrip</name>
    <message>
        <source>The whole letter</source>
        <translation>Der ganze Brief</translation>
    </message>
    <message>
        <source>Up and down choose a correction, Enter reads the pages</source>
        <translation>Auf und ab wählen eine Korrektur, Enter öffnet die Seiten zum Lesen</translation>
    </message>
    <message>
        <source>Click a correction to see it large; double-click to read the pages</source>
        <translation>Klick auf eine Korrektur zeigt sie groß; Doppelklick öffnet die Seiten zum Lesen</translation>
    </message>
    <message>
        <source>Page %1 of %2</source>
        <translation>Seite %1 von %2</translation>
    </message>
    <message>
        <source>no correction</source>
        <translation>keine Korrektur</translation>
    </message>
</context>
<context>
    <name>bevel::ui::PartsDialog</name>
    <message>
        <source>Cut into parts: %1</source>
        <translation>In Teile schneiden: %1</translation>
    </message>
    <message>
        <source>The frame at the mark</source>
        <translation>Das Bild an der Marke</translation>
    </message>
    <message>
        <source>Looking for the parts …</source>
        <translation>Die Teile werden gesucht …</translation>
    </message>
    <message>
        <source>Movement of the chosen part</source>
        <translation>Bewegung des gewählten Teils</translation>
    </message>
    <message>
        <source>as the clip shows</source>
        <translation>wie der Clip zeigt</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>Split here</source>
        <translation>Hier teilen</translation>
    </message>
    <message>
        <source>Merge with the next</source>
        <translation>Mit dem nächsten verbinden</translation>
    </message>
    <message>
        <source>Leave out</source>
        <translation>Weglassen</translation>
    </message>
    <message>
        <source>Begin here</source>
        <translation>Beginnt hier</translation>
    </message>
    <message>
        <source>End here</source>
        <translation>Endet hier</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Rückgängig</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Wiederholen</translation>
    </message>
    <message>
        <source>The chosen part shows</source>
        <translation>Der gewählte Teil zeigt</translation>
    </message>
    <message>
        <source>Cut</source>
        <translation>Schneiden</translation>
    </message>
    <message>
        <source>the edge of a part</source>
        <translation>die Kante eines Teils</translation>
    </message>
    <message>
        <source>the movement of a part</source>
        <translation>die Bewegung eines Teils</translation>
    </message>
    <message>
        <source>what is suggested</source>
        <translation>der Vorschlag</translation>
    </message>
    <message>
        <source>a split</source>
        <translation>eine Teilung</translation>
    </message>
    <message>
        <source>a merge</source>
        <translation>eine Verbindung</translation>
    </message>
    <message>
        <source>a part left out</source>
        <translation>ein weggelassener Teil</translation>
    </message>
    <message>
        <source>A part is at least a second long and does not reach into the next.</source>
        <translation>Ein Teil ist mindestens eine Sekunde lang und reicht nicht in den nächsten.</translation>
    </message>
    <message numerus="yes">
        <source>Cut into %n clips</source>
        <translation>
            <numerusform>In %n Clip schneiden</numerusform>
            <numerusform>In %n Clips schneiden</numerusform>
        </translation>
    </message>
    <message>
        <source>Keep this stretch</source>
        <translation>Diesen Abschnitt behalten</translation>
    </message>
    <message>
        <source>Nothing of what Bevel knows was recognised in it. Set the edges by hand.</source>
        <translation>Nichts, was Bevel kennt, wurde darin erkannt. Die Kanten von Hand setzen.</translation>
    </message>
    <message numerus="yes">
        <source>%n part(s) suggested; what is veiled is left out. Drag the edges, or use the keys.</source>
        <translation>
            <numerusform>%n Teil vorgeschlagen; Verschleiertes fällt weg. Die Kanten ziehen oder die Tasten nehmen.</numerusform>
            <numerusform>%n Teile vorgeschlagen; Verschleiertes fällt weg. Die Kanten ziehen oder die Tasten nehmen.</numerusform>
        </translation>
    </message>
    <message>
        <source>Who practises the chosen part</source>
        <translation>Wer den gewählten Teil übt</translation>
    </message>
    <message>
        <source>whoever it is</source>
        <translation>wer immer es ist</translation>
    </message>
    <message>
        <source>One a person</source>
        <translation>Je Person einer</translation>
    </message>
    <message>
        <source>Names in turn …</source>
        <translation>Namen der Reihe nach …</translation>
    </message>
    <message>
        <source>by</source>
        <comment>who practises the part</comment>
        <translation>von</translation>
    </message>
    <message>
        <source>who practises a part</source>
        <translation>wer einen Teil übt</translation>
    </message>
    <message>
        <source>one part a person</source>
        <translation>je Person ein Teil</translation>
    </message>
    <message>
        <source>Names in turn</source>
        <translation>Namen der Reihe nach</translation>
    </message>
    <message>
        <source>Who practised, in the order of the film, a name a line</source>
        <translation>Wer geübt hat, in der Reihenfolge des Films, ein Name je Zeile</translation>
    </message>
    <message>
        <source>names in turn</source>
        <translation>Namen der Reihe nach</translation>
    </message>
    <message>
        <source>Not found, or more than one is called so: %1.</source>
        <translation>Nicht gefunden, oder mehrere heißen so: %1.</translation>
    </message>
    <message>
        <source>%1 names for %2 parts: look whether each stands at its own.</source>
        <translation>%1 Namen für %2 Teile: Bitte ansehen, ob jeder bei seinem steht.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::PartsStrip</name>
    <message>
        <source>The clip and its parts</source>
        <translation>Der Clip und seine Teile</translation>
    </message>
    <message>
        <source>Left and Right move along the clip, with Shift by a second; Up and Down choose a part</source>
        <translation>Links und Rechts gehen den Clip entlang, mit Umschalt um eine Sekunde; Auf und Ab wählen einen Teil</translation>
    </message>
    <message>
        <source>Parts: %1</source>
        <translation>Teile: %1</translation>
    </message>
    <message>
        <source>%1  %2</source>
        <translation>%1  %2</translation>
    </message>
    <message>
        <source>as the clip shows</source>
        <translation>wie der Clip zeigt</translation>
    </message>
</context>
<context>
    <name>bevel::ui::PeoplePage</name>
    <message>
        <source>People</source>
        <translation>Menschen</translation>
    </message>
    <message>
        <source>Search people</source>
        <translation>Menschen suchen</translation>
    </message>
    <message>
        <source>Add a person …</source>
        <translation>Jemanden hinzufügen …</translation>
    </message>
    <message>
        <source>About the person</source>
        <translation>Über die Person</translation>
    </message>
    <message>
        <source>What changed</source>
        <translation>Was sich änderte</translation>
    </message>
    <message>
        <source>Record</source>
        <translation>Verlauf</translation>
    </message>
    <message>
        <source>Day</source>
        <translation>Tag</translation>
    </message>
    <message>
        <source>What</source>
        <translation>Was</translation>
    </message>
    <message>
        <source>Words</source>
        <translation>Worte</translation>
    </message>
    <message>
        <source>Enter or a double click opens the clip</source>
        <translation>Eingabe oder Doppelklick öffnet die Aufnahme</translation>
    </message>
    <message>
        <source>Limits and agreements</source>
        <translation>Grenzen, Vereinbartes</translation>
    </message>
    <message>
        <source>Person</source>
        <translation>Person</translation>
    </message>
    <message>
        <source>Nobody yet</source>
        <translation>Noch niemand</translation>
    </message>
    <message>
        <source>People come with their first clip, or are added here.</source>
        <translation>Menschen kommen mit ihrer ersten Aufnahme oder werden hier hinzugefügt.</translation>
    </message>
    <message>
        <source>Movement</source>
        <translation>Bewegung</translation>
    </message>
    <message>
        <source>Figure</source>
        <translation>Messwert</translation>
    </message>
    <message>
        <source>Now</source>
        <translation>Jetzt</translation>
    </message>
    <message>
        <source>Change</source>
        <translation>Änderung</translation>
    </message>
    <message>
        <source>What was agreed turns a fault into a note, on the days it holds. Bevel keeps no diagnosis.</source>
        <translation>Vereinbartes macht einen Fehler zur Notiz, an den Tagen, für die es gilt. Bevel bewahrt keine Diagnose auf.</translation>
    </message>
    <message>
        <source>New …</source>
        <translation>Neu …</translation>
    </message>
    <message>
        <source>Change …</source>
        <translation>Ändern …</translation>
    </message>
    <message>
        <source>Ends today</source>
        <translation>Endet heute</translation>
    </message>
    <message>
        <source>as it may be shown to others</source>
        <translation>wie andere sie sehen dürfen</translation>
    </message>
    <message>
        <source> cm</source>
        <translation> cm</translation>
    </message>
    <message>
        <source>From today on; clips of earlier days keep the height of their day</source>
        <translation>Ab heute; frühere Aufnahmen behalten die Größe ihres Tages</translation>
    </message>
    <message>
        <source>in their own words</source>
        <translation>in eigenen Worten</translation>
    </message>
    <message>
        <source>what to keep in mind</source>
        <translation>woran zu denken ist</translation>
    </message>
    <message>
        <source>Movements practised</source>
        <translation>Geübte Bewegungen</translation>
    </message>
    <message>
        <source>Version</source>
        <translation>Fassung</translation>
    </message>
    <message>
        <source>Taught up to</source>
        <translation>Gelehrt bis</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Alias</source>
        <translation>Alias</translation>
    </message>
    <message>
        <source>Height</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>Goals</source>
        <translation>Ziele</translation>
    </message>
    <message>
        <source>Notes</source>
        <translation>Notizen</translation>
    </message>
    <message>
        <source>Consent</source>
        <translation>Einwilligung</translation>
    </message>
    <message>
        <source>Practises</source>
        <translation>Übt</translation>
    </message>
    <message>
        <source>one person</source>
        <translation>eine Person</translation>
    </message>
    <message>
        <source>%1 people</source>
        <translation>%1 Menschen</translation>
    </message>
    <message numerus="yes">
        <source>%n earlier clip(s) are being measured …</source>
        <translation>
            <numerusform>%n frühere Aufnahme wird gemessen …</numerusform>
            <numerusform>%n frühere Aufnahmen werden gemessen …</numerusform>
        </translation>
    </message>
    <message>
        <source> (against the reference)</source>
        <translation> (gegen die Referenz)</translation>
    </message>
    <message>
        <source>one clip so far</source>
        <translation>bisher eine Aufnahme</translation>
    </message>
    <message>
        <source>filmed from another side, or another band</source>
        <translation>von anderer Seite gefilmt, oder anderes Band</translation>
    </message>
    <message>
        <source>better by %1</source>
        <translation>besser um %1</translation>
    </message>
    <message>
        <source>worse by %1</source>
        <translation>schlechter um %1</translation>
    </message>
    <message>
        <source>better since %1 by %2</source>
        <translation>besser seit %1 um %2</translation>
    </message>
    <message>
        <source>Clip</source>
        <translation>Aufnahme</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>Correction</source>
        <translation>Korrektur</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>%1: %2. “%3”</source>
        <translation>%1: %2. „%3“</translation>
    </message>
    <message>
        <source>Seen</source>
        <translation>Gesehen</translation>
    </message>
    <message>
        <source>Letter</source>
        <translation>Brief</translation>
    </message>
    <message>
        <source>Agreed</source>
        <translation>Vereinbart</translation>
    </message>
    <message>
        <source>(over)</source>
        <translation>(vorbei)</translation>
    </message>
    <message>
        <source>Version of %1</source>
        <translation>Fassung von %1</translation>
    </message>
    <message>
        <source>%1: taught up to</source>
        <translation>%1: gelehrt bis</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>wie sie ist</translation>
    </message>
    <message>
        <source>all of it</source>
        <translation>alles</translation>
    </message>
    <message>
        <source>what is known of a person</source>
        <translation>was von einer Person bekannt ist</translation>
    </message>
    <message>
        <source>a person</source>
        <translation>eine Person</translation>
    </message>
    <message>
        <source>the height of a person</source>
        <translation>die Größe einer Person</translation>
    </message>
    <message>
        <source>the end of what was agreed</source>
        <translation>das Ende einer Vereinbarung</translation>
    </message>
    <message>
        <source>Saved: %1</source>
        <translation>Gespeichert: %1</translation>
    </message>
    <message>
        <source>CSV (*.csv)</source>
        <translation>CSV (*.csv)</translation>
    </message>
    <message>
        <source>Record of this person as CSV …</source>
        <translation>Verlauf dieser Person als CSV …</translation>
    </message>
    <message>
        <source>Record as CSV</source>
        <translation>Verlauf als CSV</translation>
    </message>
    <message>
        <source>Figures of this person as CSV …</source>
        <translation>Messwerte dieser Person als CSV …</translation>
    </message>
    <message>
        <source>Figures as CSV</source>
        <translation>Messwerte als CSV</translation>
    </message>
    <message>
        <source>Letters</source>
        <translation>Briefe</translation>
    </message>
    <message>
        <source>Enter or a double click opens the letter</source>
        <translation>Eingabe oder Doppelklick öffnet den Brief</translation>
    </message>
    <message>
        <source>Left and right differ in the last clip. Only a suggestion: what it means is for you and the student to say.</source>
        <translation>Links und rechts unterscheiden sich im letzten Clip. Nur ein Hinweis: Was er heißt, sagt ihr beide.</translation>
    </message>
    <message>
        <source>Left against right</source>
        <translation>Links gegen rechts</translation>
    </message>
    <message>
        <source>Agree on it …</source>
        <translation>Vereinbaren …</translation>
    </message>
    <message>
        <source>where the mail program is to send letters</source>
        <translation>wohin das Mailprogramm Briefe schicken soll</translation>
    </message>
    <message>
        <source>as the program speaks</source>
        <translation>wie das Programm spricht</translation>
    </message>
    <message>
        <source>Letters in</source>
        <translation>Briefe auf</translation>
    </message>
    <message>
        <source>Mail</source>
        <translation>E-Mail</translation>
    </message>
    <message>
        <source>%1, %2: left %3, right %4 (difference ± %5)</source>
        <translation>%1, %2: links %3, rechts %4 (Unterschied ± %5)</translation>
    </message>
    <message>
        <source>No difference beyond its error.</source>
        <translation>Kein Unterschied über den Fehler hinaus.</translation>
    </message>
    <message>
        <source>: a draft</source>
        <translation>: ein Entwurf</translation>
    </message>
    <message>
        <source>: saved on %1, not yet said to be sent</source>
        <translation>: gespeichert am %1, noch nicht als verschickt gemeldet</translation>
    </message>
    <message>
        <source>: sent on %1</source>
        <translation>: verschickt am %1</translation>
    </message>
    <message>
        <source>: sent on %1, answered on %2</source>
        <translation>: verschickt am %1, beantwortet am %2</translation>
    </message>
    <message>
        <source>to be looked at again on %1</source>
        <translation>wieder anzusehen am %1</translation>
    </message>
    <message>
        <source>a new clip came on %1</source>
        <translation>ein neuer Clip kam am %1</translation>
    </message>
    <message>
        <source>Writing the bundle …</source>
        <translation>Das Bündel wird geschrieben …</translation>
    </message>
    <message>
        <source>Reading the bundle …</source>
        <translation>Das Bündel wird gelesen …</translation>
    </message>
    <message>
        <source>Taken in, as somebody new.</source>
        <translation>Aufgenommen, als jemand Neues.</translation>
    </message>
    <message numerus="yes">
        <source>%n people taken in; who was there already stays as they were.</source>
        <translation>
            <numerusform>%n Person aufgenommen; wer schon da war, bleibt, wie er war.</numerusform>
            <numerusform>%n Personen aufgenommen; wer schon da war, bleibt, wie er war.</numerusform>
        </translation>
    </message>
    <message>
        <source>Record of this person as PDF …</source>
        <translation>Akte dieser Person als PDF …</translation>
    </message>
    <message>
        <source>Record as PDF</source>
        <translation>Akte als PDF</translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation>PDF (*.pdf)</translation>
    </message>
    <message>
        <source>Everything about this person, films too, as a bundle …</source>
        <translation>Alles über diese Person, auch Filme, als Bündel …</translation>
    </message>
    <message>
        <source>Everything about this person as a bundle …</source>
        <translation>Alles über diese Person als Bündel …</translation>
    </message>
    <message>
        <source>Bundle</source>
        <translation>Bündel</translation>
    </message>
    <message>
        <source>Bundle (*.zip)</source>
        <translation>Bündel (*.zip)</translation>
    </message>
    <message>
        <source>For another computer or the person: a zip file with everything as text, and points and letters</source>
        <translation>Für einen anderen Rechner oder die Person selbst: eine Zip-Datei mit allem als Text, dazu Punkte und Briefe</translation>
    </message>
    <message>
        <source>Take in a bundle …</source>
        <translation>Ein Bündel aufnehmen …</translation>
    </message>
    <message>
        <source>Take in a bundle</source>
        <translation>Ein Bündel aufnehmen</translation>
    </message>
    <message>
        <source>People from a list …</source>
        <translation>Personen aus einer Liste …</translation>
    </message>
    <message>
        <source>People from a list</source>
        <translation>Personen aus einer Liste</translation>
    </message>
    <message>
        <source>A CSV file with a head line: name, height_cm, alias, language, email, goals, notes</source>
        <translation>Eine CSV-Datei mit Kopfzeile: name, height_cm, alias, language, email, goals, notes</translation>
    </message>
    <message>
        <source>Practice</source>
        <translation>Üben</translation>
    </message>
    <message>
        <source>%1 min · %2</source>
        <translation>%1 min · %2</translation>
    </message>
    <message>
        <source>That day</source>
        <translation>An dem Tag</translation>
    </message>
    <message>
        <source>energy %1 of 10</source>
        <translation>Kraft %1 von 10</translation>
    </message>
    <message>
        <source>pain: %1</source>
        <translation>Schmerz: %1</translation>
    </message>
    <message>
        <source>Record of %1</source>
        <translation>Akte von %1</translation>
    </message>
    <message>
        <source>Lengths in letters</source>
        <translation>Längen in Briefen</translation>
    </message>
    <message>
        <source>lengths as shown here</source>
        <translation>Längen wie hier gezeigt</translation>
    </message>
    <message>
        <source>in centimetres</source>
        <translation>in Zentimetern</translation>
    </message>
    <message>
        <source>in inches</source>
        <translation>in Zoll</translation>
    </message>
    <message>
        <source>One step at a time; one step down after a fall or pain</source>
        <translation>Eine Stufe nach der anderen; nach Sturz oder Schmerz eine Stufe zurück</translation>
    </message>
    <message>
        <source>not known</source>
        <translation>nicht bekannt</translation>
    </message>
    <message>
        <source>Balance</source>
        <translation>Gleichgewicht</translation>
    </message>
    <message>
        <source>What is right, how far with ease …</source>
        <translation>Was richtig ist, wie weit mit Leichtigkeit …</translation>
    </message>
    <message numerus="yes">
        <source>%n moment(s) marked as right.</source>
        <translation>
            <numerusform>%n Moment als richtig markiert.</numerusform>
            <numerusform>%n Momente als richtig markiert.</numerusform>
        </translation>
    </message>
    <message>
        <source>Set by hand: %1.</source>
        <translation>Von Hand gesetzt: %1.</translation>
    </message>
    <message>
        <source>With ease %1.</source>
        <translation>Mit Leichtigkeit %1.</translation>
    </message>
    <message>
        <source>Nothing is marked as right: head, shoulders and back are held against the quiet stand of each clip, so that a habit that is there all the time does not show.</source>
        <translation>Nichts ist als richtig markiert: Kopf, Schultern und Rücken werden am ruhigen Stand jeder Aufnahme gemessen, sodass sich eine Gewohnheit, die immer da ist, nicht zeigt.</translation>
    </message>
    <message>
        <source>what is right</source>
        <translation>was richtig ist</translation>
    </message>
    <message>
        <source>not said</source>
        <translation>nicht gesagt</translation>
    </message>
    <message>
        <source>List for the hall …</source>
        <translation>Liste für den Saal …</translation>
    </message>
    <message>
        <source>List for the hall</source>
        <translation>Liste für den Saal</translation>
    </message>
    <message>
        <source>Everybody with the one thing asked last, limits and a box to tick</source>
        <translation>Alle mit dem einen, worum zuletzt gebeten wurde, Grenzen und einem Kästchen zum Abhaken</translation>
    </message>
    <message>
        <source>clip of %1</source>
        <translation>Clip vom %1</translation>
    </message>
    <message>
        <source>look again %1</source>
        <translation>wieder ansehen %1</translation>
    </message>
    <message>
        <source>no change that can be told: less than %1</source>
        <translation>keine erkennbare Veränderung: weniger als %1</translation>
    </message>
    <message>
        <source>Who comes, and the one thing asked of each</source>
        <translation>Wer kommt, und das eine, worum jeder gebeten ist</translation>
    </message>
    <message>
        <source>Asked</source>
        <translation>Gebeten</translation>
    </message>
    <message>
        <source>With care</source>
        <translation>Mit Vorsicht</translation>
    </message>
    <message>
        <source>For whoever leads the class; it names limits of people.</source>
        <translation>Für die Leitung der Stunde; es nennt Grenzen von Personen.</translation>
    </message>
    <message>
        <source>Quiet tests</source>
        <translation>Ruhige Proben</translation>
    </message>
    <message>
        <source>the quiet test</source>
        <translation>die ruhige Probe</translation>
    </message>
    <message>
        <source>how it was said, and by whom for somebody under age</source>
        <translation>wie es gesagt wurde, und von wem bei Minderjährigen</translation>
    </message>
    <message>
        <source>kept and looked at here</source>
        <translation>hier aufbewahrt und angesehen</translation>
    </message>
    <message>
        <source>shown to others who practise here</source>
        <translation>anderen gezeigt, die hier üben</translation>
    </message>
    <message>
        <source>assistants learn from them</source>
        <translation>Assistenten lernen daran</translation>
    </message>
    <message>
        <source>Agrees that clips are %1</source>
        <translation>Einverstanden mit Clips: %1</translation>
    </message>
    <message>
        <source>since %1</source>
        <translation>seit %1</translation>
    </message>
    <message>
        <source>from %1, taken back on %2</source>
        <translation>ab %1, zurückgenommen am %2</translation>
    </message>
    <message>
        <source>Never said</source>
        <translation>Nie gesagt</translation>
    </message>
    <message>
        <source>How consent was given</source>
        <translation>Wie die Einwilligung gegeben wurde</translation>
    </message>
</context>
<context>
    <name>bevel::ui::PeopleView</name>
    <message>
        <source>People in the picture</source>
        <translation>Menschen im Bild</translation>
    </message>
    <message>
        <source>Looking for people …</source>
        <translation>Menschen werden gesucht …</translation>
    </message>
</context>
<context>
    <name>bevel::ui::PhraseDialog</name>
    <message>
        <source>Own words</source>
        <translation>Eigene Worte</translation>
    </message>
    <message>
        <source>For</source>
        <translation>Für</translation>
    </message>
    <message>
        <source>While</source>
        <translation>Während</translation>
    </message>
    <message>
        <source>Words</source>
        <translation>Worte</translation>
    </message>
    <message>
        <source>Used</source>
        <translation>Gebraucht</translation>
    </message>
    <message>
        <source>Take out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>, too little</source>
        <translation>, zu wenig</translation>
    </message>
    <message>
        <source>, too much</source>
        <translation>, zu viel</translation>
    </message>
    <message>
        <source>always</source>
        <translation>immer</translation>
    </message>
    <message>
        <source>Nothing yet: when you reword a correction in Review, your words are kept and offered next time.</source>
        <translation>Noch nichts: Sagst du eine Korrektur in der Durchsicht mit eigenen Worten, bleiben sie und werden das nächste Mal angeboten.</translation>
    </message>
    <message>
        <source>Offered in Review where the same thing is to be said again.</source>
        <translation>Werden in der Durchsicht angeboten, wo dasselbe wieder zu sagen ist.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::PictureView</name>
    <message>
        <source>Reference figure at the same moment</source>
        <translation>Referenzfigur im selben Augenblick</translation>
    </message>
    <message>
        <source>The student&apos;s frame</source>
        <translation>Das Bild der Übenden</translation>
    </message>
    <message>
        <source>Reference</source>
        <translation>Referenz</translation>
    </message>
    <message>
        <source>in time with the student</source>
        <translation>gleichauf</translation>
    </message>
    <message>
        <source>student %1 s behind</source>
        <translation>%1 s hinterher</translation>
    </message>
    <message>
        <source>student %1 s ahead</source>
        <translation>%1 s voraus</translation>
    </message>
    <message>
        <source>between repetitions</source>
        <translation>zwischen Wiederholungen</translation>
    </message>
    <message>
        <source>No review is open</source>
        <translation>Keine Durchsicht ist offen</translation>
    </message>
    <message>
        <source>breath %1</source>
        <translation>Atem %1</translation>
    </message>
    <message>
        <source>body not found here</source>
        <translation>Körper hier nicht gefunden</translation>
    </message>
    <message>
        <source>mirrored</source>
        <translation>gespiegelt</translation>
    </message>
    <message>
        <source>This frame cannot be shown.</source>
        <translation>Dieses Bild kann nicht gezeigt werden.</translation>
    </message>
    <message>
        <source>The picture is being made …</source>
        <translation>Das Bild entsteht …</translation>
    </message>
    <message>
        <source>Wheel or + and − bring it closer, dragging or Shift with the arrows moves it, 0 shows all</source>
        <translation>Rad oder + und − holen es näher, Ziehen oder Umschalt mit den Pfeilen verschiebt es, 0 zeigt alles</translation>
    </message>
    <message>
        <source>The clip beside it at the same moment</source>
        <translation>Die andere Aufnahme im selben Moment</translation>
    </message>
    <message>
        <source>reference laid over</source>
        <translation>Vorbild darübergelegt</translation>
    </message>
    <message>
        <source>as it is meant</source>
        <translation>wie es gemeint ist</translation>
    </message>
</context>
<context>
    <name>bevel::ui::PlanView</name>
    <message>
        <source>Where the time goes</source>
        <translation>Wohin die Zeit geht</translation>
    </message>
    <message>
        <source>The session</source>
        <translation>Die Übung</translation>
    </message>
    <message>
        <source>Drag to another place; a lock keeps it when a session is proposed anew</source>
        <translation>An eine andere Stelle ziehen; was fest ist, bleibt bei einem neuen Vorschlag</translation>
    </message>
    <message>
        <source>left</source>
        <translation>links</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechts</translation>
    </message>
    <message>
        <source>times</source>
        <translation>mal</translation>
    </message>
    <message>
        <source>holds</source>
        <translation>Halten</translation>
    </message>
    <message>
        <source>seconds</source>
        <translation>Sekunden</translation>
    </message>
    <message>
        <source>Lock</source>
        <translation>Festhalten</translation>
    </message>
    <message>
        <source>Earlier</source>
        <translation>Früher</translation>
    </message>
    <message>
        <source>Later</source>
        <translation>Später</translation>
    </message>
    <message>
        <source>Take out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>  (locked)</source>
        <translation>  (fest)</translation>
    </message>
    <message>
        <source>%1 of %2 minutes · loosening %3 %</source>
        <translation>%1 von %2 Minuten · Lockern %3 %</translation>
    </message>
    <message numerus="yes">
        <source>and %n more</source>
        <translation>
            <numerusform>und %n weiteres</numerusform>
            <numerusform>und %n weitere</numerusform>
        </translation>
    </message>
    <message>
        <source>Unlock</source>
        <translation>Lösen</translation>
    </message>
    <message>
        <source>Chair or wall in reach.</source>
        <translation>Stuhl oder Wand in Reichweite.</translation>
    </message>
    <message>
        <source>Let it in …</source>
        <translation>Zulassen …</translation>
    </message>
    <message>
        <source>Against what was agreed or what today asks for, with the reason, which is printed with the plan</source>
        <translation>Gegen das Vereinbarte oder das, was heute gilt; der Grund wird mit dem Plan gedruckt</translation>
    </message>
    <message>
        <source>Let it in</source>
        <translation>Zulassen</translation>
    </message>
    <message>
        <source>Why may it be done today all the same? The reason is printed with the plan.</source>
        <translation>Warum darf es heute trotzdem geübt werden? Der Grund wird mit dem Plan gedruckt.</translation>
    </message>
    <message>
        <source>Let in: %1</source>
        <translation>Zugelassen: %1</translation>
    </message>
</context>
<context>
    <name>bevel::ui::PointStrip</name>
    <message>
        <source>How well the point is seen along the clip</source>
        <translation>Wie gut der Punkt im Clip zu sehen ist</translation>
    </message>
    <message>
        <source>Above: how well the point is seen. Below: its error, up to a fiftieth of the body. Shaded: doubtful. Ticks: marked by hand.</source>
        <translation>Oben: wie gut der Punkt zu sehen ist. Unten: sein Fehler, bis zu einem Fünfzigstel des Körpers. Getönt: zweifelhaft. Striche: von Hand markiert.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::PointsPanel</name>
    <message>
        <source>Doubtful, longest first</source>
        <translation>Zweifelhaft, Längstes zuerst</translation>
    </message>
    <message>
        <source>Doubtful stretches</source>
        <translation>Zweifelhafte Abschnitte</translation>
    </message>
    <message>
        <source>Mend it</source>
        <translation>Beheben</translation>
    </message>
    <message>
        <source>Swaps the sides back, or fills the moment from its neighbours</source>
        <translation>Tauscht die Seiten zurück oder füllt den Moment aus seinen Nachbarn</translation>
    </message>
    <message>
        <source>Next doubtful</source>
        <translation>Nächstes zweifelhafte</translation>
    </message>
    <message>
        <source>The next frame on which the body is not to be trusted (N)</source>
        <translation>Das nächste Bild, in dem dem Körper nicht zu trauen ist (N)</translation>
    </message>
    <message>
        <source>From the frame before</source>
        <translation>Wie im Bild davor</translation>
    </message>
    <message>
        <source>The chosen point as it was on the frame before (P)</source>
        <translation>Der gewählte Punkt, wie er im Bild davor war (P)</translation>
    </message>
    <message>
        <source>Swap sides from here</source>
        <translation>Seiten tauschen ab hier</translation>
    </message>
    <message>
        <source>Left and right change places from this frame to where you press it again (S)</source>
        <translation>Links und rechts tauschen ab diesem Bild bis dorthin, wo noch einmal gedrückt wird (S)</translation>
    </message>
    <message>
        <source>Fill between</source>
        <translation>Dazwischen füllen</translation>
    </message>
    <message>
        <source>Follows the chosen point through the pictures from the mark before to the mark after (F)</source>
        <translation>Verfolgt den gewählten Punkt durch die Bilder von der Marke davor bis zur Marke danach (F)</translation>
    </message>
    <message>
        <source>Take all back</source>
        <translation>Alle zurücknehmen</translation>
    </message>
    <message>
        <source>A point that is not looked for</source>
        <translation>Ein Punkt, der nicht gesucht wird</translation>
    </message>
    <message>
        <source>Marked by hand where rolling of the back or a tool is judged; fill between marked frames</source>
        <translation>Von Hand markiert, wo das Rollen des Rückens oder ein Gerät beurteilt wird</translation>
    </message>
    <message>
        <source>mark also: none</source>
        <translation>auch markieren: nichts</translation>
    </message>
    <message>
        <source>base of the neck</source>
        <translation>Halsansatz</translation>
    </message>
    <message>
        <source>middle of the back</source>
        <translation>Rückenmitte</translation>
    </message>
    <message>
        <source>low back</source>
        <translation>unterer Rücken</translation>
    </message>
    <message>
        <source>tail bone</source>
        <translation>Steißbein</translation>
    </message>
    <message>
        <source>crown</source>
        <translation>Scheitel</translation>
    </message>
    <message>
        <source>front end of the tool</source>
        <translation>vorderes Ende des Geräts</translation>
    </message>
    <message>
        <source>back end of the tool</source>
        <translation>hinteres Ende des Geräts</translation>
    </message>
    <message>
        <source>mark also: %1</source>
        <translation>auch markieren: %1</translation>
    </message>
    <message>
        <source>The chosen point</source>
        <translation>Der gewählte Punkt</translation>
    </message>
    <message>
        <source>Mended</source>
        <translation>Behoben</translation>
    </message>
    <message>
        <source>nobody found</source>
        <translation>niemand gefunden</translation>
    </message>
    <message>
        <source>%1 hardly seen</source>
        <translation>%1 kaum zu sehen</translation>
    </message>
    <message>
        <source>left and right leg changed places</source>
        <translation>linkes und rechtes Bein vertauscht</translation>
    </message>
    <message>
        <source>%1 jumps</source>
        <translation>%1 springt</translation>
    </message>
    <message>
        <source>%1: the bone above it is too long</source>
        <translation>%1: der Knochen darüber ist zu lang</translation>
    </message>
    <message>
        <source>%1: the foot slides over the floor</source>
        <translation>%1: der Fuß gleitet über den Boden</translation>
    </message>
    <message>
        <source>%1, %2 s: %3</source>
        <translation>%1, %2 s: %3</translation>
    </message>
    <message>
        <source>Nothing is doubtful.</source>
        <translation>Nichts ist zweifelhaft.</translation>
    </message>
    <message numerus="yes">
        <source>%n point(s) by hand</source>
        <translation>
            <numerusform>%n Punkt von Hand</numerusform>
            <numerusform>%n Punkte von Hand</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n filled between</source>
        <translation>
            <numerusform>%n dazwischen gefüllt</numerusform>
            <numerusform>%n dazwischen gefüllt</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n stretch(es) with the sides swapped</source>
        <translation>
            <numerusform>%n Abschnitt mit getauschten Seiten</numerusform>
            <numerusform>%n Abschnitte mit getauschten Seiten</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n frame(s) with points of the back or a tool</source>
        <translation>
            <numerusform>%n Bild mit Punkten am Rücken oder Gerät</numerusform>
            <numerusform>%n Bilder mit Punkten am Rücken oder Gerät</numerusform>
        </translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>nichts</translation>
    </message>
    <message>
        <source>Swap sides to here</source>
        <translation>Seiten tauschen bis hier</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Set a body here</source>
        <translation>Körper hier setzen</translation>
    </message>
    <message>
        <source>Where nobody was found: as on the nearest frame, or standing straight (B)</source>
        <translation>Wo niemand gefunden wurde: wie auf dem nächsten Bild, oder gerade stehend (B)</translation>
    </message>
    <message>
        <source>Follow the body</source>
        <translation>Körper verfolgen</translation>
    </message>
    <message>
        <source>Through the frames between two on which the whole body was set by hand (G)</source>
        <translation>Durch die Bilder zwischen zweien, auf denen der ganze Körper gesetzt wurde (G)</translation>
    </message>
</context>
<context>
    <name>bevel::ui::PostureEditor</name>
    <message>
        <source>Part of the posture</source>
        <translation>Teil der Haltung</translation>
    </message>
    <message>
        <source>°</source>
        <translation>°</translation>
    </message>
    <message>
        <source> SW</source>
        <translation> SB</translation>
    </message>
    <message>
        <source>Trunk and weight</source>
        <translation>Rumpf und Gewicht</translation>
    </message>
    <message>
        <source>Weight on the left foot</source>
        <translation>Gewicht auf dem linken Fuß</translation>
    </message>
    <message>
        <source>Height of the hips, of standing</source>
        <translation>Höhe der Hüfte, vom Stehen</translation>
    </message>
    <message>
        <source>Body ahead of the feet, foot lengths</source>
        <translation>Körper vor den Füßen, Fußlängen</translation>
    </message>
    <message>
        <source>Hips turned left</source>
        <translation>Hüfte nach links gedreht</translation>
    </message>
    <message>
        <source>Shoulders turned left</source>
        <translation>Schultern nach links gedreht</translation>
    </message>
    <message>
        <source>Gaze turned left of that</source>
        <translation>Blick weiter links davon</translation>
    </message>
    <message>
        <source>Gaze up</source>
        <translation>Blick nach oben</translation>
    </message>
    <message>
        <source>Trunk leaning forward</source>
        <translation>Rumpf nach vorn geneigt</translation>
    </message>
    <message>
        <source>Trunk leaning left</source>
        <translation>Rumpf nach links geneigt</translation>
    </message>
    <message>
        <source>Low back rounded</source>
        <translation>Unterer Rücken gerundet</translation>
    </message>
    <message>
        <source>Upper back rounded</source>
        <translation>Oberer Rücken gerundet</translation>
    </message>
    <message>
        <source>Neck bent forward</source>
        <translation>Hals nach vorn gebeugt</translation>
    </message>
    <message>
        <source>Sitting (1), standing (0)</source>
        <translation>Sitzend (1), stehend (0)</translation>
    </message>
    <message>
        <source>Left hand</source>
        <translation>Linke Hand</translation>
    </message>
    <message>
        <source>Right hand</source>
        <translation>Rechte Hand</translation>
    </message>
    <message>
        <source>Left foot</source>
        <translation>Linker Fuß</translation>
    </message>
    <message>
        <source>Right foot</source>
        <translation>Rechter Fuß</translation>
    </message>
    <message>
        <source>From the height of</source>
        <translation>Von der Höhe von</translation>
    </message>
    <message>
        <source>belly</source>
        <translation>Bauch</translation>
    </message>
    <message>
        <source>heart</source>
        <translation>Herz</translation>
    </message>
    <message>
        <source>brow</source>
        <translation>Stirn</translation>
    </message>
    <message>
        <source>Above that height</source>
        <translation>Über dieser Höhe</translation>
    </message>
    <message>
        <source>Left of the middle</source>
        <translation>Links der Mitte</translation>
    </message>
    <message>
        <source>Ahead of the chest</source>
        <translation>Vor der Brust</translation>
    </message>
    <message>
        <source>Elbow away from hanging</source>
        <translation>Ellbogen vom Hängen weg</translation>
    </message>
    <message>
        <source>Palm turned, thumb outward</source>
        <translation>Handfläche gedreht, Daumen auswärts</translation>
    </message>
    <message>
        <source>Fist (1), open (0)</source>
        <translation>Faust (1), offen (0)</translation>
    </message>
    <message>
        <source>Hanging below that</source>
        <translation>Darunter hängend</translation>
    </message>
    <message>
        <source>On a chair beside (1)</source>
        <translation>Auf einem Stuhl daneben (1)</translation>
    </message>
    <message>
        <source>On the floor with</source>
        <translation>Am Boden mit</translation>
    </message>
    <message>
        <source>the sole</source>
        <translation>der Sohle</translation>
    </message>
    <message>
        <source>the heel</source>
        <translation>der Ferse</translation>
    </message>
    <message>
        <source>the toes</source>
        <translation>den Zehen</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>nichts</translation>
    </message>
    <message>
        <source>Ahead</source>
        <translation>Vorn</translation>
    </message>
    <message>
        <source>Toes outward</source>
        <translation>Zehen auswärts</translation>
    </message>
    <message>
        <source>Height while off, of stature</source>
        <translation>Höhe in der Luft, von der Größe</translation>
    </message>
    <message>
        <source>Turned on the heel</source>
        <translation>Auf der Ferse gedreht</translation>
    </message>
    <message>
        <source>Turned on the ball</source>
        <translation>Auf dem Ballen gedreht</translation>
    </message>
    <message>
        <source>SW: widths of the shoulders. What is set runs on into the phases after it that say nothing else.</source>
        <translation>SB: Schulterbreiten. Was gesetzt wird, gilt weiter in den Phasen danach, die nichts anderes sagen.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::PracticePage</name>
    <message>
        <source>the plan</source>
        <translation>der Plan</translation>
    </message>
    <message>
        <source>Practice</source>
        <translation>Üben</translation>
    </message>
    <message>
        <source>Plan</source>
        <translation>Plan</translation>
    </message>
    <message>
        <source>Log</source>
        <translation>Übungsbuch</translation>
    </message>
    <message>
        <source>What is at hand and asked for</source>
        <translation>Was da ist und gewünscht wird</translation>
    </message>
    <message>
        <source>Propose a session</source>
        <translation>Eine Übung vorschlagen</translation>
    </message>
    <message>
        <source>Title of the session</source>
        <translation>Titel der Übung</translation>
    </message>
    <message>
        <source>Title, as it stands on the sheet</source>
        <translation>Titel, wie er auf dem Blatt steht</translation>
    </message>
    <message>
        <source>Your own recordings from the library&apos;s folder “spoken” first, else the voice of this computer</source>
        <translation>Zuerst deine eigenen Aufnahmen aus dem Ordner „spoken“ der Bibliothek, sonst die Stimme dieses Rechners</translation>
    </message>
    <message>
        <source>Wait for a tap</source>
        <translation>Auf Tippen warten</translation>
    </message>
    <message>
        <source>At the end of each repeat the pacer waits for a key, a click or the foot switch</source>
        <translation>Am Ende jeder Wiederholung wartet der Taktgeber auf Taste, Klick oder Fußschalter</translation>
    </message>
    <message>
        <source>Lengthen the breath</source>
        <translation>Den Atem verlängern</translation>
    </message>
    <message>
        <source>From the student&apos;s own to this at the end; only when asked</source>
        <translation>Vom eigenen Atem des Schülers bis hierhin am Ende; nur auf Wunsch</translation>
    </message>
    <message>
        <source> s</source>
        <translation> s</translation>
    </message>
    <message>
        <source>in</source>
        <translation>ein</translation>
    </message>
    <message>
        <source>out</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>Run it …</source>
        <translation>Ausführen …</translation>
    </message>
    <message>
        <source>Export</source>
        <translation>Ausgeben</translation>
    </message>
    <message>
        <source>Sheet as PDF …</source>
        <translation>Blatt als PDF …</translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation>PDF (*.pdf)</translation>
    </message>
    <message>
        <source>Sheet as HTML, large type …</source>
        <translation>Blatt als HTML, große Schrift …</translation>
    </message>
    <message>
        <source>HTML (*.html)</source>
        <translation>HTML (*.html)</translation>
    </message>
    <message>
        <source>Sound …</source>
        <translation>Ton …</translation>
    </message>
    <message>
        <source>Sound (*.ogg *.flac *.wav)</source>
        <translation>Ton (*.ogg *.flac *.wav)</translation>
    </message>
    <message>
        <source>Film for the phone …</source>
        <translation>Film fürs Telefon …</translation>
    </message>
    <message>
        <source>MP4 (*.mp4)</source>
        <translation>MP4 (*.mp4)</translation>
    </message>
    <message>
        <source>Calendar …</source>
        <translation>Kalender …</translation>
    </message>
    <message>
        <source>Calendar (*.ics)</source>
        <translation>Kalender (*.ics)</translation>
    </message>
    <message>
        <source>Plan as a file …</source>
        <translation>Plan als Datei …</translation>
    </message>
    <message>
        <source>Plan (*.json)</source>
        <translation>Plan (*.json)</translation>
    </message>
    <message>
        <source>Own plans</source>
        <translation>Eigene Pläne</translation>
    </message>
    <message>
        <source>Keep this one as …</source>
        <translation>Diesen behalten als …</translation>
    </message>
    <message>
        <source>Keep the plan</source>
        <translation>Den Plan behalten</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Take one out of the drawer …</source>
        <translation>Einen aus der Schublade nehmen …</translation>
    </message>
    <message>
        <source>Read one from a file …</source>
        <translation>Einen aus einer Datei lesen …</translation>
    </message>
    <message>
        <source>Read a plan</source>
        <translation>Einen Plan lesen</translation>
    </message>
    <message>
        <source>What is locked does not fit into %1 minutes: unlock something, or take more time.</source>
        <translation>Was fest ist, passt nicht in %1 Minuten: Löse etwas oder nimm mehr Zeit.</translation>
    </message>
    <message>
        <source>%1 minutes</source>
        <translation>%1 Minuten</translation>
    </message>
    <message>
        <source>Kept as “%1”.</source>
        <translation>Behalten als „%1“.</translation>
    </message>
    <message>
        <source>No plan was kept yet.</source>
        <translation>Noch kein Plan wurde behalten.</translation>
    </message>
    <message>
        <source>Which one?</source>
        <translation>Welcher?</translation>
    </message>
    <message>
        <source>Writing %1</source>
        <translation>%1 wird geschrieben</translation>
    </message>
    <message>
        <source>Saved: %1</source>
        <translation>Gespeichert: %1</translation>
    </message>
    <message>
        <source>Run the session</source>
        <translation>Die Übung ausführen</translation>
    </message>
    <message>
        <source>This exercise earlier</source>
        <translation>Diese Übung früher</translation>
    </message>
    <message>
        <source>This exercise later</source>
        <translation>Diese Übung später</translation>
    </message>
    <message>
        <source>Lock this exercise, or no longer</source>
        <translation>Diese Übung festhalten oder lösen</translation>
    </message>
    <message>
        <source>Take this exercise out</source>
        <translation>Diese Übung herausnehmen</translation>
    </message>
    <message>
        <source>Spoken words</source>
        <translation>Gesprochene Worte</translation>
    </message>
    <message>
        <source>Length of the last repeats against the first</source>
        <translation>Dauer der letzten Wiederholungen gegen die ersten</translation>
    </message>
    <message>
        <source>How late the sound device is</source>
        <translation>Wie spät das Tongerät ist</translation>
    </message>
    <message>
        <source>Where pictures come before the sound, as with wireless loudspeakers</source>
        <translation>Wenn Bilder vor dem Ton kommen, wie bei kabellosen Lautsprechern</translation>
    </message>
    <message>
        <source> ms</source>
        <translation> ms</translation>
    </message>
    <message>
        <source>How the breath goes</source>
        <translation>Wie der Atem geht</translation>
    </message>
    <message>
        <source>breath as it comes</source>
        <translation>Atem, wie er kommt</translation>
    </message>
    <message>
        <source>in and out by the nose</source>
        <translation>ein und aus durch die Nase</translation>
    </message>
    <message>
        <source>out through the lips</source>
        <translation>aus durch die Lippen</translation>
    </message>
    <message>
        <source>Not today, by what was agreed or what the day asks for: %1. Let it in with a reason, or practise without it.</source>
        <translation>Heute nicht, nach dem Vereinbarten oder dem, was der Tag verlangt: %1. Mit einem Grund zulassen oder ohne das üben.</translation>
    </message>
    <message>
        <source>Without it</source>
        <translation>Ohne das</translation>
    </message>
    <message>
        <source>the same pace to the end</source>
        <translation>bis zum Ende dasselbe Tempo</translation>
    </message>
    <message>
        <source>slowing to %1 times as long</source>
        <translation>langsamer bis %1-mal so lang</translation>
    </message>
    <message>
        <source>sound with the picture</source>
        <translation>Ton mit dem Bild</translation>
    </message>
    <message>
        <source>sound comes late by </source>
        <translation>Ton kommt später um </translation>
    </message>
    <message>
        <source>Course</source>
        <translation>Kurs</translation>
    </message>
    <message>
        <source>Propose a session, or the weeks of the course anew</source>
        <translation>Eine Einheit vorschlagen, oder die Wochen des Kurses neu</translation>
    </message>
</context>
<context>
    <name>bevel::ui::ReviewPage</name>
    <message>
        <source>Review</source>
        <translation>Durchsicht</translation>
    </message>
    <message>
        <source>Write the letter</source>
        <translation>Brief schreiben</translation>
    </message>
    <message>
        <source>Play</source>
        <translation>Spielen</translation>
    </message>
    <message>
        <source>Play or pause (space)</source>
        <translation>Spielen oder anhalten (Leertaste)</translation>
    </message>
    <message>
        <source>Speed</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>%1×</source>
        <translation>%1×</translation>
    </message>
    <message>
        <source>Mirror</source>
        <translation>Spiegel</translation>
    </message>
    <message>
        <source>Show both pictures mirrored (M); the display only</source>
        <translation>Beide Bilder gespiegelt zeigen (M); nur die Anzeige</translation>
    </message>
    <message>
        <source>By movement</source>
        <translation>Nach Bewegung</translation>
    </message>
    <message>
        <source>Read the time axis by the movement instead of the clock (T)</source>
        <translation>Die Zeitachse nach der Bewegung statt nach der Uhr lesen (T)</translation>
    </message>
    <message>
        <source>One repetition</source>
        <translation>Eine Wiederh.</translation>
    </message>
    <message>
        <source>Only the repetition at the cursor on the time axis (Z)</source>
        <translation>Nur die Wiederholung am Zeiger auf der Zeitachse (Z)</translation>
    </message>
    <message>
        <source>« Rep</source>
        <translation>« Wdh.</translation>
    </message>
    <message>
        <source>«</source>
        <translation>«</translation>
    </message>
    <message>
        <source>Repetition back (Page Up)</source>
        <translation>Wiederholung zurück (Bild auf)</translation>
    </message>
    <message>
        <source>‹ Phase</source>
        <translation>‹ Phase</translation>
    </message>
    <message>
        <source>‹</source>
        <translation>‹</translation>
    </message>
    <message>
        <source>Phase back (Ctrl+Left)</source>
        <translation>Phase zurück (Strg+Links)</translation>
    </message>
    <message>
        <source>− 1</source>
        <translation>− 1</translation>
    </message>
    <message>
        <source>−</source>
        <translation>−</translation>
    </message>
    <message>
        <source>Frame back (Left)</source>
        <translation>Bild zurück (Links)</translation>
    </message>
    <message>
        <source>+ 1</source>
        <translation>+ 1</translation>
    </message>
    <message>
        <source>+</source>
        <translation>+</translation>
    </message>
    <message>
        <source>Frame on (Right)</source>
        <translation>Bild vor (Rechts)</translation>
    </message>
    <message>
        <source>Phase ›</source>
        <translation>Phase ›</translation>
    </message>
    <message>
        <source>›</source>
        <translation>›</translation>
    </message>
    <message>
        <source>Phase on (Ctrl+Right)</source>
        <translation>Phase vor (Strg+Rechts)</translation>
    </message>
    <message>
        <source>Rep »</source>
        <translation>Wdh. »</translation>
    </message>
    <message>
        <source>»</source>
        <translation>»</translation>
    </message>
    <message>
        <source>Repetition on (Page Down)</source>
        <translation>Wiederholung vor (Bild ab)</translation>
    </message>
    <message>
        <source>No review is open</source>
        <translation>Keine Durchsicht ist offen</translation>
    </message>
    <message>
        <source>Choose a clip in Arrivals and open its review: what was found stands here, from the ground up.</source>
        <translation>Im Eingang eine Aufnahme wählen und ihre Durchsicht öffnen: hier steht, was gefunden wurde, vom Boden aufwärts.</translation>
    </message>
    <message>
        <source>Go to Arrivals</source>
        <translation>Zum Eingang</translation>
    </message>
    <message>
        <source>Opening …</source>
        <translation>Wird geöffnet …</translation>
    </message>
    <message>
        <source>%1 · %2</source>
        <translation>%1 · %2</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>The clip&apos;s file is not where it was. Points and findings are here all the same.</source>
        <translation>Die Datei der Aufnahme ist nicht mehr dort. Punkte und Befunde sind trotzdem da.</translation>
    </message>
    <message>
        <source>Point to it …</source>
        <translation>Auf sie zeigen …</translation>
    </message>
    <message>
        <source> · the body shows its other side than was declared: is the picture mirrored?</source>
        <translation> · der Körper zeigt die andere Seite als angegeben: ist das Bild gespiegelt?</translation>
    </message>
    <message>
        <source>Pause</source>
        <translation>Pause</translation>
    </message>
    <message>
        <source>Mirror both pictures</source>
        <translation>Beide Bilder spiegeln</translation>
    </message>
    <message>
        <source>Read the time axis by the movement</source>
        <translation>Die Zeitachse nach der Bewegung lesen</translation>
    </message>
    <message>
        <source>Only the repetition at the cursor</source>
        <translation>Nur die Wiederholung am Zeiger</translation>
    </message>
    <message>
        <source>Play or pause</source>
        <translation>Spielen oder anhalten</translation>
    </message>
    <message>
        <source>Frame back</source>
        <translation>Bild zurück</translation>
    </message>
    <message>
        <source>Frame on</source>
        <translation>Bild vor</translation>
    </message>
    <message>
        <source>Phase back</source>
        <translation>Phase zurück</translation>
    </message>
    <message>
        <source>Phase on</source>
        <translation>Phase vor</translation>
    </message>
    <message>
        <source>Repetition back</source>
        <translation>Wiederholung zurück</translation>
    </message>
    <message>
        <source>Repetition on</source>
        <translation>Wiederholung vor</translation>
    </message>
    <message>
        <source>To the start</source>
        <translation>Zum Anfang</translation>
    </message>
    <message>
        <source>To the end</source>
        <translation>Zum Ende</translation>
    </message>
    <message>
        <source>Point to the clip&apos;s file …</source>
        <translation>Auf die Datei der Aufnahme zeigen …</translation>
    </message>
    <message>
        <source>For a clip whose file was moved or lost</source>
        <translation>Für eine Aufnahme, deren Datei verschoben oder verloren ist</translation>
    </message>
    <message>
        <source>Where is this clip?</source>
        <translation>Wo ist diese Aufnahme?</translation>
    </message>
    <message>
        <source>Choose another file …</source>
        <translation>Andere Datei wählen …</translation>
    </message>
    <message>
        <source>The other clip of the pair first</source>
        <translation>Der andere Clip des Paars zuerst</translation>
    </message>
    <message>
        <source>Two clips of one movement from two sides: their lanes and figures one after the other</source>
        <translation>Zwei Clips einer Bewegung von zwei Seiten: ihre Bahnen und Zahlen nacheinander</translation>
    </message>
    <message>
        <source>%1 and %2, %3</source>
        <translation>%1 und %2, %3</translation>
    </message>
    <message>
        <source>Breath in from %1. Tap again where it goes out.</source>
        <translation>Einatmen ab %1. Noch einmal tippen, wo es hinausgeht.</translation>
    </message>
    <message>
        <source>Breath out from %1. Tap again where it comes in.</source>
        <translation>Ausatmen ab %1. Noch einmal tippen, wo es hereinkommt.</translation>
    </message>
    <message>
        <source>the tapped breath</source>
        <translation>der getippte Atem</translation>
    </message>
    <message>
        <source>No breath is marked.</source>
        <translation>Kein Atem ist markiert.</translation>
    </message>
    <message numerus="yes">
        <source>%n breath mark(s) kept.</source>
        <translation>
            <numerusform>%n Atemmarke behalten.</numerusform>
            <numerusform>%n Atemmarken behalten.</numerusform>
        </translation>
    </message>
    <message>
        <source>A breath begins here: in, out, in …</source>
        <translation>Hier beginnt ein Atemzug: ein, aus, ein …</translation>
    </message>
    <message>
        <source>Tap along while the clip plays; breath cannot be seen, so it is judged by what you tap</source>
        <translation>Mittippen, während der Clip läuft; Atem ist nicht zu sehen, er wird nach den Marken beurteilt</translation>
    </message>
    <message>
        <source>Take the tapped breath back</source>
        <translation>Den getippten Atem zurücknehmen</translation>
    </message>
    <message>
        <source>No clip was chosen to show this movement. Open yours, then “Show this clip beside students&apos; clips”.</source>
        <translation>Für diese Bewegung ist keine Aufnahme gewählt. Öffne deine, dann „Diese Aufnahme neben denen der Übenden zeigen“.</translation>
    </message>
    <message>
        <source>This clip now shows “%1” beside students&apos; clips (I).</source>
        <translation>Diese Aufnahme zeigt jetzt „%1“ neben denen der Übenden (I).</translation>
    </message>
    <message>
        <source>This clip no longer shows “%1”.</source>
        <translation>Diese Aufnahme zeigt „%1“ nicht mehr.</translation>
    </message>
    <message>
        <source>something seen</source>
        <translation>etwas Gesehenes</translation>
    </message>
    <message>
        <source>the breath from a file</source>
        <translation>der Atem aus einer Datei</translation>
    </message>
    <message>
        <source>Nothing in this trace rises and falls as a breath does.</source>
        <translation>In dieser Kurve hebt und senkt sich nichts wie ein Atem.</translation>
    </message>
    <message>
        <source>This is no breath trace Bevel can read: %1. Each line is a time in seconds and a value, or in/out.</source>
        <translation>Das ist keine Atemkurve, die Bevel lesen kann: %1. Jede Zeile ist eine Zeit in Sekunden und ein Wert, oder in/out.</translation>
    </message>
    <message>
        <source>something seen, taken out</source>
        <translation>etwas Gesehenes, herausgenommen</translation>
    </message>
    <message>
        <source>Something seen here …</source>
        <translation>Hier etwas gesehen …</translation>
    </message>
    <message>
        <source>A remark of your own at this moment, where no figure tells it</source>
        <translation>Eine eigene Bemerkung zu diesem Moment, wo kein Messwert es sagt</translation>
    </message>
    <message>
        <source>Your own clip in place of the figure, or the figure again</source>
        <translation>Eigene Aufnahme statt der Figur, oder wieder die Figur</translation>
    </message>
    <message>
        <source>At the same moment of the movement</source>
        <translation>Im selben Moment der Bewegung</translation>
    </message>
    <message>
        <source>Show this clip beside students&apos; clips, or no longer</source>
        <translation>Diese Aufnahme neben denen der Übenden zeigen, oder nicht mehr</translation>
    </message>
    <message>
        <source>A movement from this clip …</source>
        <translation>Eine Bewegung aus dieser Aufnahme …</translation>
    </message>
    <message>
        <source>Your way of a movement, or one that is not among the forms: told from clips that show it</source>
        <translation>Deine Art einer Bewegung, oder eine, die noch fehlt: aus Aufnahmen gelernt, die sie zeigen</translation>
    </message>
    <message>
        <source>Breath from a file …</source>
        <translation>Atem aus einer Datei …</translation>
    </message>
    <message>
        <source>A breath trace</source>
        <translation>Eine Atemkurve</translation>
    </message>
    <message>
        <source>Text (*.csv *.txt)</source>
        <translation>Text (*.csv *.txt)</translation>
    </message>
    <message>
        <source>Lines of time in seconds of the clip and chest extension, or of time and in/out</source>
        <translation>Zeilen mit der Zeit in Sekunden der Aufnahme und der Dehnung der Brust, oder mit der Zeit und in/out</translation>
    </message>
    <message>
        <source>Holds in this clip …</source>
        <translation>Gehaltenes in dieser Aufnahme …</translation>
    </message>
    <message>
        <source>How long what was held, on which leg, and how far the body swayed</source>
        <translation>Wie lange was gehalten wurde, auf welchem Bein, und wie weit der Körper schwankte</translation>
    </message>
    <message>
        <source>On the right the clip of %1, at the same moment of the movement.</source>
        <translation>Rechts der Clip vom %1, im selben Moment der Bewegung.</translation>
    </message>
    <message>
        <source>Next finding</source>
        <translation>Nächster Befund</translation>
    </message>
    <message>
        <source>Finding before</source>
        <translation>Befund davor</translation>
    </message>
    <message>
        <source>Keep it for the letter, and on</source>
        <translation>Für den Brief behalten, und weiter</translation>
    </message>
    <message>
        <source>Set it aside, and on</source>
        <translation>Beiseitelegen, und weiter</translation>
    </message>
    <message>
        <source>Say it in your own words …</source>
        <translation>Mit eigenen Worten sagen …</translation>
    </message>
    <message>
        <source>The film was deleted when its time had come. Points and findings are here all the same.</source>
        <translation>Der Film wurde gelöscht, als seine Zeit gekommen war. Punkte und Befunde sind trotzdem da.</translation>
    </message>
    <message>
        <source>a decision</source>
        <translation>eine Entscheidung</translation>
    </message>
    <message>
        <source>It is what it is named, all the same</source>
        <translation>Es ist trotzdem, wie es heißt</translation>
    </message>
    <message>
        <source>Judges the clip as the movement it is named where it looks like another one</source>
        <translation>Beurteilt die Aufnahme als die genannte Bewegung, auch wo sie nach einer anderen aussieht</translation>
    </message>
    <message>
        <source>what the clip shows</source>
        <translation>was die Aufnahme zeigt</translation>
    </message>
    <message>
        <source>This moment is right for the student</source>
        <translation>Dieser Moment ist für den Schüler richtig</translation>
    </message>
    <message>
        <source>Head, shoulders and back as they stand here are what this student&apos;s clips from this side are held against</source>
        <translation>An Kopf, Schultern und Rücken, wie sie hier stehen, werden die Aufnahmen dieses Schülers von dieser Seite gemessen</translation>
    </message>
    <message>
        <source>This clip shows how far the student goes with ease …</source>
        <translation>Diese Aufnahme zeigt, wie weit der Schüler mit Leichtigkeit geht …</translation>
    </message>
    <message>
        <source>Depth, twist and side bend of a gentle test; effort in other clips is held against them</source>
        <translation>Tiefe, Drehung und Seitneigung einer sanften Probe; daran wird die Anstrengung in anderen Aufnahmen gemessen</translation>
    </message>
    <message>
        <source>Say first whose clip this is: what is right belongs to a person.</source>
        <translation>Sag zuerst, wessen Aufnahme das ist: was richtig ist, gehört zu einer Person.</translation>
    </message>
    <message>
        <source>Neither head nor shoulders can be told here. Clips from the side tell the head, from the front and the side the shoulders; what you know can be set by hand under People.</source>
        <translation>Weder Kopf noch Schultern lassen sich hier erkennen. Aufnahmen von der Seite zeigen den Kopf, von vorn und von der Seite die Schultern; was du weißt, lässt sich unter Menschen von Hand setzen.</translation>
    </message>
    <message>
        <source>a moment that is right</source>
        <translation>ein richtiger Moment</translation>
    </message>
    <message>
        <source>Kept as right for %1: %2. Clips from this side are held against it from now on.</source>
        <translation>Als richtig für %1 behalten: %2. Aufnahmen von dieser Seite werden von nun an daran gemessen.</translation>
    </message>
    <message>
        <source>Nothing in this clip goes far enough, or is seen well enough, to be a range.</source>
        <translation>Nichts in dieser Aufnahme geht weit genug oder ist gut genug zu sehen, um ein Spielraum zu sein.</translation>
    </message>
    <message>
        <source>How far with ease</source>
        <translation>Wie weit mit Leichtigkeit</translation>
    </message>
    <message>
        <source>In this clip %1.

Is this how far %2 goes with ease, without strain, pain or a wobble? Other clips are asked to stay at about seven tenths of it. Never test to the limit.</source>
        <translation>In dieser Aufnahme %1.

Geht %2 so weit mit Leichtigkeit, ohne Anstrengung, Schmerz oder Wackeln? Andere Aufnahmen sollen bei etwa sieben Zehnteln davon bleiben. Nie bis zur Grenze proben.</translation>
    </message>
    <message>
        <source>Yes, keep it</source>
        <translation>Ja, behalten</translation>
    </message>
    <message>
        <source>how far with ease</source>
        <translation>wie weit mit Leichtigkeit</translation>
    </message>
    <message>
        <source>Kept. Clips of %1 other than this one are held against it.</source>
        <translation>Behalten. Andere Aufnahmen von %1 werden daran gemessen.</translation>
    </message>
    <message>
        <source>Lay over</source>
        <translation>Darüber</translation>
    </message>
    <message>
        <source>The reference&apos;s lines over the student, on the same planted foot (G)</source>
        <translation>Die Linien des Vorbilds über der Person, auf demselben stehenden Fuß (G)</translation>
    </message>
    <message>
        <source>Again</source>
        <translation>Wieder</translation>
    </message>
    <message>
        <source>Play this part of the movement over and over (O)</source>
        <translation>Diesen Teil der Bewegung immer wieder abspielen (O)</translation>
    </message>
    <message>
        <source>Lay the reference over the student</source>
        <translation>Das Vorbild über die Person legen</translation>
    </message>
    <message>
        <source>Play this part over and over</source>
        <translation>Diesen Teil immer wieder abspielen</translation>
    </message>
    <message>
        <source>Picture of now …</source>
        <translation>Bild von jetzt …</translation>
    </message>
    <message>
        <source>The student&apos;s picture with its lines, as a file</source>
        <translation>Das Bild der Person mit seinen Linien, als Datei</translation>
    </message>
    <message>
        <source>No repetition was found here to play over and over.</source>
        <translation>Hier wurde keine Wiederholung gefunden, die immer wieder abgespielt werden könnte.</translation>
    </message>
    <message>
        <source>The picture is still being made: try again in a moment.</source>
        <translation>Das Bild entsteht noch: gleich noch einmal versuchen.</translation>
    </message>
    <message>
        <source>The picture of now</source>
        <translation>Das Bild von jetzt</translation>
    </message>
    <message>
        <source>The student&apos;s picture at %1, with the lines that are drawn on it now.</source>
        <translation>Das Bild der Person bei %1, mit den Linien, die jetzt darauf sind.</translation>
    </message>
    <message>
        <source>Hide who it is</source>
        <translation>Verbergen, wer es ist</translation>
    </message>
    <message>
        <source>The head and everything around the body are covered</source>
        <translation>Der Kopf und alles um den Körper wird verdeckt</translation>
    </message>
    <message>
        <source>Save the picture</source>
        <translation>Das Bild sichern</translation>
    </message>
    <message>
        <source>PNG (*.png)</source>
        <translation>PNG (*.png)</translation>
    </message>
    <message>
        <source>The body is not found surely enough here to hide who it is. Choose another moment.</source>
        <translation>Der Körper ist hier nicht sicher genug gefunden, um zu verbergen, wer es ist. Wählen Sie einen anderen Moment.</translation>
    </message>
    <message>
        <source>There is no picture of this moment.</source>
        <translation>Von diesem Moment gibt es kein Bild.</translation>
    </message>
    <message>
        <source>Save elsewhere …</source>
        <translation>Woanders sichern …</translation>
    </message>
    <message>
        <source>Saved: %1</source>
        <translation>Gesichert: %1</translation>
    </message>
    <message>
        <source>↺</source>
        <translation>↺</translation>
    </message>
    <message>
        <source>A form from this clip …</source>
        <translation>Eine Form aus diesem Clip …</translation>
    </message>
    <message>
        <source>The movements that follow one on the other in it, as a form of your own</source>
        <translation>Die Bewegungen, die darin aufeinander folgen, als eigene Form</translation>
    </message>
    <message>
        <source>The name of the file tells who it is.</source>
        <translation>Der Name der Datei verrät, wer es ist.</translation>
    </message>
    <message>
        <source>at once in the room, %1 and %2; %3</source>
        <translation>zugleich im Raum, %1 und %2; %3</translation>
    </message>
    <message>
        <source>Room</source>
        <translation>Raum</translation>
    </message>
    <message>
        <source>The body in the room from any side, in place of the reference (V); of two clips filmed at once</source>
        <translation>Der Körper im Raum von jeder Seite, an Stelle der Referenz (V); bei zwei zugleich gefilmten Aufnahmen</translation>
    </message>
    <message>
        <source>The body in the room</source>
        <translation>Der Körper im Raum</translation>
    </message>
    <message>
        <source>Of two clips filmed at once: from any side, turned by dragging</source>
        <translation>Bei zwei zugleich gefilmten Aufnahmen: von jeder Seite, durch Ziehen gedreht</translation>
    </message>
    <message>
        <source>%1, one body fitted; %2</source>
        <translation>%1, ein Körper angepasst; %2</translation>
    </message>
    <message>
        <source>Who shows it is hidden: in People nothing says that they agree to be shown.</source>
        <translation>Wer es zeigt, ist verborgen: Unter Menschen steht nicht, dass sie einverstanden ist, gezeigt zu werden.</translation>
    </message>
    <message>
        <source>Judged as the body shows itself, %1: from the side that was said, the movement is not found as well. “Change …” in Arrivals puts the side right.</source>
        <translation>Beurteilt, wie der Körper sich zeigt, %1: Von der angegebenen Seite findet sich die Bewegung nicht so gut. „Ändern …“ im Eingang berichtigt die Seite.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::RewordDialog</name>
    <message>
        <source>In your own words</source>
        <translation>In deinen eigenen Worten</translation>
    </message>
    <message>
        <source>What should the student do?</source>
        <translation>Was soll der Schüler tun?</translation>
    </message>
    <message>
        <source>Ctrl+Enter agrees</source>
        <translation>Strg+Eingabe stimmt zu</translation>
    </message>
    <message>
        <source>What you said before</source>
        <translation>Was du früher gesagt hast</translation>
    </message>
    <message>
        <source>What you said before (down arrow, Enter):</source>
        <translation>Was du früher gesagt hast (Pfeil ab, Eingabe):</translation>
    </message>
</context>
<context>
    <name>bevel::ui::RoomPanel</name>
    <message>
        <source>True vertical</source>
        <translation>Wahre Senkrechte</translation>
    </message>
    <message>
        <source>Scale</source>
        <translation>Maßstab</translation>
    </message>
    <message>
        <source>Mat or tiles on the floor</source>
        <translation>Matte oder Fliesen am Boden</translation>
    </message>
    <message>
        <source>Height of the camera</source>
        <translation>Höhe der Kamera</translation>
    </message>
    <message>
        <source> in</source>
        <translation> in</translation>
    </message>
    <message>
        <source> cm</source>
        <translation> cm</translation>
    </message>
    <message>
        <source>Height of the camera over the floor</source>
        <translation>Höhe der Kamera über dem Boden</translation>
    </message>
    <message>
        <source>It is this</source>
        <translation>So hoch</translation>
    </message>
    <message>
        <source>Lens</source>
        <translation>Objektiv</translation>
    </message>
    <message>
        <source>Shake</source>
        <translation>Wackeln</translation>
    </message>
    <message>
        <source>Take it out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>What counts</source>
        <translation>Was zählt</translation>
    </message>
    <message>
        <source>Begins here</source>
        <translation>Beginnt hier</translation>
    </message>
    <message>
        <source>Ends here</source>
        <translation>Endet hier</translation>
    </message>
    <message>
        <source>Support and seat</source>
        <translation>Stütze und Sitz</translation>
    </message>
    <message>
        <source>Hand on it from here</source>
        <translation>Hand daran ab hier</translation>
    </message>
    <message>
        <source>to here</source>
        <translation>bis hier</translation>
    </message>
    <message>
        <source>Seated</source>
        <translation>Sitzend</translation>
    </message>
    <message>
        <source>Camera place</source>
        <translation>Kameraplatz</translation>
    </message>
    <message>
        <source>Marks of a place where the camera stands again and again are kept under its name</source>
        <translation>Marken eines Platzes, an dem die Kamera immer wieder steht, bleiben unter seinem Namen</translation>
    </message>
    <message>
        <source>Take its marks</source>
        <translation>Marken nehmen</translation>
    </message>
    <message>
        <source>Keep these as a place …</source>
        <translation>Als Platz behalten …</translation>
    </message>
    <message>
        <source>How sure the figures are: before, and now</source>
        <translation>Wie sicher die Zahlen sind: vorher und jetzt</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>All of it</source>
        <translation>Ganz</translation>
    </message>
    <message>
        <source>Take back</source>
        <translation>Zurücknehmen</translation>
    </message>
    <message>
        <source>marked: the camera is tilted %1</source>
        <translation>markiert: die Kamera ist um %1 gekippt</translation>
    </message>
    <message>
        <source>seen in the room: the camera is tilted %1</source>
        <translation>im Raum gesehen: die Kamera ist um %1 gekippt</translation>
    </message>
    <message>
        <source>not known: the camera is taken as level</source>
        <translation>nicht bekannt: die Kamera gilt als waagrecht</translation>
    </message>
    <message>
        <source>by the mat</source>
        <translation>nach der Matte</translation>
    </message>
    <message>
        <source>by a length of %1</source>
        <translation>durch eine Länge von %1</translation>
    </message>
    <message>
        <source>by the student&apos;s height of %1</source>
        <translation>durch die Körpergröße von %1</translation>
    </message>
    <message>
        <source>camera %1 ± %2 over the floor, looking down %3°</source>
        <translation>Kamera %1 ± %2 über dem Boden, um %3° nach unten</translation>
    </message>
    <message>
        <source>none marked: widths come from the height, lengths from what is usual of cameras</source>
        <translation>keine: Breiten kommen aus der Größe, Längen aus dem bei Kameras Üblichen</translation>
    </message>
    <message>
        <source>given: %1</source>
        <translation>angegeben: %1</translation>
    </message>
    <message>
        <source>told from the feet</source>
        <translation>nach den Füßen</translation>
    </message>
    <message>
        <source>straight edges bend by %1 % ± %2 %</source>
        <translation>gerade Kanten biegen sich um %1 % ± %2 %</translation>
    </message>
    <message>
        <source>taken as straight, to 2 %</source>
        <translation>als gerade genommen, auf 2 %</translation>
    </message>
    <message>
        <source>taken out against the room, to ± %1 px</source>
        <translation>gegen den Raum herausgenommen, auf ± %1 px</translation>
    </message>
    <message>
        <source>the camera is taken as still</source>
        <translation>die Kamera gilt als ruhig</translation>
    </message>
    <message>
        <source>from %1 to %2</source>
        <translation>von %1 bis %2</translation>
    </message>
    <message>
        <source>the whole clip</source>
        <translation>die ganze Aufnahme</translation>
    </message>
    <message>
        <source>seated</source>
        <translation>sitzend</translation>
    </message>
    <message>
        <source>hand on a support from %1 to %2</source>
        <translation>Hand an einer Stütze von %1 bis %2</translation>
    </message>
    <message>
        <source>none: the feet carry all the weight</source>
        <translation>keine: die Füße tragen das ganze Gewicht</translation>
    </message>
    <message>
        <source>%1 (looks like this room)</source>
        <translation>%1 (sieht aus wie dieser Raum)</translation>
    </message>
    <message>
        <source>none kept yet</source>
        <translation>noch keiner behalten</translation>
    </message>
    <message>
        <source>What is known of the room and the camera</source>
        <translation>Was von Raum und Kamera bekannt ist</translation>
    </message>
    <message>
        <source>%1°&#xa0;±&#xa0;%2°</source>
        <translation>%1°&#xa0;±&#xa0;%2°</translation>
    </message>
    <message>
        <source>Own foot and fist</source>
        <translation>Eigener Fuß und eigene Faust</translation>
    </message>
    <message>
        <source>%1, marked</source>
        <translation>%1, markiert</translation>
    </message>
    <message>
        <source>%1, from the height</source>
        <translation>%1, aus der Größe</translation>
    </message>
    <message>
        <source>foot %1; fist %2</source>
        <translation>Fuß %1; Faust %2</translation>
    </message>
    <message>
        <source>nobody said how tall the student is: by the spread of grown people, so lengths are unsure by a twentieth</source>
        <translation>niemand hat gesagt, wie groß die Person ist: nach der Streuung Erwachsener, Längen sind daher um ein Zwanzigstel unsicher</translation>
    </message>
</context>
<context>
    <name>bevel::ui::RoomView</name>
    <message>
        <source>The body in the room</source>
        <translation>Der Körper im Raum</translation>
    </message>
    <message>
        <source>Drag, or Shift with the arrow keys, to look from another side; the dashed lines are the reference</source>
        <translation>Ziehen oder Umschalt mit den Pfeiltasten zeigt eine andere Seite; die gestrichelten Linien sind die Referenz</translation>
    </message>
</context>
<context>
    <name>bevel::ui::SayingPanel</name>
    <message>
        <source>What do you see?</source>
        <translation>Was sehen Sie?</translation>
    </message>
    <message>
        <source>What can be said, from the ground up</source>
        <translation>Was gesagt werden kann, vom Boden aufwärts</translation>
    </message>
    <message>
        <source>1 to 8 open a part of the body, counted from the ground; Enter says it of this moment</source>
        <translation>1 bis 8 öffnen einen Teil des Körpers, vom Boden gezählt; Eingabe sagt es von diesem Moment</translation>
    </message>
    <message>
        <source>On which side</source>
        <translation>Auf welcher Seite</translation>
    </message>
    <message>
        <source>Earlier</source>
        <translation>Früher</translation>
    </message>
    <message>
        <source>Say it before the one above</source>
        <translation>Vor dem darüber sagen</translation>
    </message>
    <message>
        <source>Later</source>
        <translation>Später</translation>
    </message>
    <message>
        <source>Say it after the one below</source>
        <translation>Nach dem darunter sagen</translation>
    </message>
    <message>
        <source>Take out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>Delete</source>
        <translation>Entf</translation>
    </message>
    <message>
        <source>Show what is there</source>
        <translation>Zeigen, was da ist</translation>
    </message>
    <message>
        <source>Nothing can be said of this clip afterwards</source>
        <translation>Danach kann zu diesem Clip nichts mehr gesagt werden</translation>
    </message>
    <message>
        <source>What you would say, first things first</source>
        <translation>Was Sie sagen würden, das Erste zuerst</translation>
    </message>
    <message>
        <source>What is there, and what was said</source>
        <translation>Was da ist, und was gesagt wurde</translation>
    </message>
    <message>
        <source>Seen</source>
        <translation>Gesehen</translation>
    </message>
    <message>
        <source>What, where and when</source>
        <translation>Was, wo und wann</translation>
    </message>
    <message>
        <source>%1  %2</source>
        <comment>a key, a part of the body</comment>
        <translation>%1  %2</translation>
    </message>
    <message>
        <source>what is said</source>
        <translation>was gesagt wird</translation>
    </message>
    <message>
        <source>%1. %2</source>
        <translation>%1. %2</translation>
    </message>
    <message>
        <source>you: %1</source>
        <comment>what was said</comment>
        <translation>Sie: %1</translation>
    </message>
    <message>
        <source>on which side was not said</source>
        <translation>die Seite wurde nicht gesagt</translation>
    </message>
    <message>
        <source>on another side</source>
        <translation>auf einer anderen Seite</translation>
    </message>
    <message>
        <source>it does not show at that moment</source>
        <translation>in diesem Moment zeigt es sich nicht</translation>
    </message>
    <message>
        <source>hidden</source>
        <translation>verdeckt</translation>
    </message>
    <message>
        <source>it is there, and cannot be told from this side</source>
        <translation>es ist da und von dieser Seite nicht zu sagen</translation>
    </message>
    <message>
        <source>Say it here</source>
        <translation>Hier sagen</translation>
    </message>
    <message>
        <source>Of this moment; Enter, in the list above</source>
        <translation>Von diesem Moment; Eingabe, in der Liste darüber</translation>
    </message>
    <message>
        <source>You see nothing to say; nothing can be said of this clip afterwards</source>
        <translation>Sie sehen nichts zu sagen; danach kann zu diesem Clip nichts mehr gesagt werden</translation>
    </message>
</context>
<context>
    <name>bevel::ui::SchoolsDialog</name>
    <message>
        <source>Schools</source>
        <translation>Schulen</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>What it does in its own way</source>
        <translation>Was sie auf ihre Art macht</translation>
    </message>
    <message>
        <source>In its own way</source>
        <translation>Auf ihre Art</translation>
    </message>
    <message>
        <source>Why</source>
        <translation>Warum</translation>
    </message>
    <message>
        <source>What is judged</source>
        <translation>Was beurteilt wird</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>In which stance</source>
        <translation>In welchem Stand</translation>
    </message>
    <message>
        <source>in every stance</source>
        <translation>in jedem Stand</translation>
    </message>
    <message>
        <source>In which part</source>
        <translation>In welchem Teil</translation>
    </message>
    <message>
        <source>in every part</source>
        <translation>in jedem Teil</translation>
    </message>
    <message>
        <source>At least</source>
        <translation>Mindestens</translation>
    </message>
    <message>
        <source>At most</source>
        <translation>Höchstens</translation>
    </message>
    <message>
        <source>no end</source>
        <translation>kein Ende</translation>
    </message>
    <message>
        <source>Reason</source>
        <translation>Grund</translation>
    </message>
    <message>
        <source>Why: the reader of a review sees it</source>
        <translation>Warum: Wer eine Durchsicht liest, sieht es</translation>
    </message>
    <message>
        <source>Where</source>
        <translation>Wo</translation>
    </message>
    <message>
        <source>Band</source>
        <translation>Band</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Hinzufügen</translation>
    </message>
    <message>
        <source>Set</source>
        <translation>Setzen</translation>
    </message>
    <message>
        <source>Take out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>Copy</source>
        <translation>Kopieren</translation>
    </message>
    <message>
        <source>As shipped</source>
        <translation>Wie mitgeliefert</translation>
    </message>
    <message>
        <source>your own school</source>
        <translation>eine eigene Schule</translation>
    </message>
    <message>
        <source>Export …</source>
        <translation>Ausgeben …</translation>
    </message>
    <message>
        <source>Export the school</source>
        <translation>Die Schule ausgeben</translation>
    </message>
    <message>
        <source>Schools (*.json)</source>
        <translation>Schulen (*.json)</translation>
    </message>
    <message>
        <source>Import …</source>
        <translation>Einlesen …</translation>
    </message>
    <message>
        <source>Import a school</source>
        <translation>Eine Schule einlesen</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>the name of a school</source>
        <translation>der Name einer Schule</translation>
    </message>
    <message>
        <source>%1 (own)</source>
        <translation>%1 (eigene)</translation>
    </message>
    <message>
        <source>stance: %1</source>
        <translation>Stand: %1</translation>
    </message>
    <message>
        <source>part: %1</source>
        <translation>Teil: %1</translation>
    </message>
    <message>
        <source>not judged</source>
        <translation>nicht beurteilt</translation>
    </message>
    <message>
        <source>as usual</source>
        <translation>wie üblich</translation>
    </message>
    <message>
        <source>the figure leans %1°</source>
        <translation>die Figur neigt sich %1°</translation>
    </message>
    <message>
        <source>it stands higher</source>
        <translation>sie steht höher</translation>
    </message>
    <message>
        <source>it stands lower</source>
        <translation>sie steht tiefer</translation>
    </message>
    <message>
        <source>steps %1 times as long</source>
        <translation>Schritte %1-mal so lang</translation>
    </message>
    <message>
        <source>toes %1° out</source>
        <translation>Zehen %1° nach außen</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>Say why: a band that differs owes a reason.</source>
        <translation>Sag warum: Ein anderes Band schuldet einen Grund.</translation>
    </message>
    <message>
        <source>a band of a school</source>
        <translation>ein Band einer Schule</translation>
    </message>
    <message>
        <source>the band of a school</source>
        <translation>das Band einer Schule</translation>
    </message>
    <message>
        <source>a band of a school taken out</source>
        <translation>ein Band einer Schule herausgenommen</translation>
    </message>
    <message>
        <source>%1, my way</source>
        <translation>%1, meine Art</translation>
    </message>
    <message>
        <source>a copy of a school</source>
        <translation>die Kopie einer Schule</translation>
    </message>
    <message>
        <source>That cannot be: %1</source>
        <translation>Das kann nicht sein: %1</translation>
    </message>
    <message>
        <source>Saved: %1</source>
        <translation>Gespeichert: %1</translation>
    </message>
    <message>
        <source>That is no school Bevel can read: %1</source>
        <translation>Das ist keine Schule, die Bevel lesen kann: %1</translation>
    </message>
    <message>
        <source>an imported school</source>
        <translation>eine eingelesene Schule</translation>
    </message>
    <message>
        <source>%1 % of the weight on the leading foot</source>
        <translation>%1 % des Gewichts auf dem führenden Fuß</translation>
    </message>
    <message>
        <source>the weight is further forward on the feet</source>
        <translation>das Gewicht liegt weiter vorn auf den Füßen</translation>
    </message>
    <message>
        <source>the weight is further back on the feet</source>
        <translation>das Gewicht liegt weiter hinten auf den Füßen</translation>
    </message>
</context>
<context>
    <name>bevel::ui::SeeingPage</name>
    <message>
        <source>Learning to see</source>
        <translation>Sehen lernen</translation>
    </message>
    <message>
        <source>Look</source>
        <translation>Schauen</translation>
    </message>
    <message>
        <source>Record</source>
        <translation>Verlauf</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Anhalten</translation>
    </message>
    <message>
        <source>Play</source>
        <translation>Abspielen</translation>
    </message>
    <message>
        <source>Who is looking</source>
        <translation>Wer schaut</translation>
    </message>
    <message>
        <source>Whose clips</source>
        <translation>Wessen Clips</translation>
    </message>
    <message>
        <source>How hard</source>
        <translation>Wie schwer</translation>
    </message>
    <message>
        <source>Which movement</source>
        <translation>Welche Bewegung</translation>
    </message>
    <message>
        <source>New …</source>
        <translation>Neu …</translation>
    </message>
    <message>
        <source>Somebody new who learns to see</source>
        <translation>Jemand Neues lernt sehen</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>Remove who is looking</source>
        <translation>Entfernen, wer schaut</translation>
    </message>
    <message>
        <source>What they saw so far goes with them.</source>
        <translation>Was bisher gesehen wurde, geht mit.</translation>
    </message>
    <message>
        <source>A new clip</source>
        <translation>Ein neuer Clip</translation>
    </message>
    <message>
        <source>Look at that</source>
        <translation>Das anschauen</translation>
    </message>
    <message>
        <source>Seeing</source>
        <translation>Sehen</translation>
    </message>
    <message>
        <source>What next</source>
        <translation>Was als Nächstes</translation>
    </message>
    <message>
        <source>Space; comma and full stop go frame by frame</source>
        <translation>Leertaste; Komma und Punkt gehen Bild für Bild</translation>
    </message>
    <message>
        <source>How fast it plays</source>
        <translation>Wie schnell es läuft</translation>
    </message>
    <message>
        <source>as it was</source>
        <translation>wie es war</translation>
    </message>
    <message>
        <source>half as fast</source>
        <translation>halb so schnell</translation>
    </message>
    <message>
        <source>a quarter as fast</source>
        <translation>ein Viertel so schnell</translation>
    </message>
    <message>
        <source>nobody: keep no record</source>
        <translation>niemand: nichts aufheben</translation>
    </message>
    <message>
        <source>a virtual student&apos;s</source>
        <translation>einer Figur</translation>
    </message>
    <message>
        <source>of the library (%1)</source>
        <translation>der Bibliothek (%1)</translation>
    </message>
    <message>
        <source>Clips of people who agreed in People that assistants learn from them</source>
        <translation>Clips von Personen, die unter Menschen zugestimmt haben, dass Assistenten daran lernen</translation>
    </message>
    <message>
        <source>any</source>
        <translation>irgendeine</translation>
    </message>
    <message>
        <source>What is there is what their reviews say: what you set aside there counts for nothing here.</source>
        <translation>Was da ist, sagt ihre Durchsicht: Was Sie dort beiseitegelegt haben, zählt hier nicht.</translation>
    </message>
    <message>
        <source>Say who is looking: then what they see is kept, and what they should look at most is told.</source>
        <translation>Sagen Sie, wer schaut: Dann wird aufgehoben, was gesehen wird, und gesagt, worauf am meisten zu achten ist.</translation>
    </message>
    <message>
        <source>Nobody agreed yet that assistants learn from their clips: that is said in People, under Person.</source>
        <translation>Noch hat niemand zugestimmt, dass Assistenten an seinen Clips lernen: Das steht unter Menschen, bei Person.</translation>
    </message>
    <message>
        <source>None of these clips shows that movement.</source>
        <translation>Keiner dieser Clips zeigt diese Bewegung.</translation>
    </message>
    <message>
        <source>No such clip could be made: choose another movement, or another hardness.</source>
        <translation>Ein solcher Clip war nicht zu machen: Wählen Sie eine andere Bewegung oder eine andere Schwere.</translation>
    </message>
    <message>
        <source>Its person no longer agrees that assistants learn from it.</source>
        <translation>Die Person ist nicht mehr einverstanden, dass Assistenten daran lernen.</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Somebody of that name is there already, or the name is too long.</source>
        <translation>Jemand dieses Namens ist schon da, oder der Name ist zu lang.</translation>
    </message>
    <message>
        <source>Look at a new clip</source>
        <translation>Einen neuen Clip anschauen</translation>
    </message>
    <message>
        <source>Play the clip, or stop it</source>
        <translation>Den Clip abspielen oder anhalten</translation>
    </message>
    <message>
        <source>One frame back</source>
        <translation>Ein Bild zurück</translation>
    </message>
    <message>
        <source>One frame on</source>
        <translation>Ein Bild weiter</translation>
    </message>
    <message>
        <source>What can be said of: %1</source>
        <translation>Was gesagt werden kann zu: %1</translation>
    </message>
    <message>
        <source>Say this earlier</source>
        <translation>Das früher sagen</translation>
    </message>
    <message>
        <source>Say this later</source>
        <translation>Das später sagen</translation>
    </message>
    <message>
        <source>Do not say this</source>
        <translation>Das nicht sagen</translation>
    </message>
    <message>
        <source>Stop making it</source>
        <translation>Nicht mehr machen</translation>
    </message>
</context>
<context>
    <name>bevel::ui::SeeingView</name>
    <message>
        <source>The clip that is looked at</source>
        <translation>Der Clip, der angeschaut wird</translation>
    </message>
    <message>
        <source>%1, between two repetitions</source>
        <comment>a moment of the clip</comment>
        <translation>%1, zwischen zwei Wiederholungen</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <comment>a moment of the clip, the part of the movement</comment>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>The clip</source>
        <translation>Der Clip</translation>
    </message>
    <message>
        <source>Moment</source>
        <translation>Moment</translation>
    </message>
    <message>
        <source>Where it shows</source>
        <translation>Wo es sich zeigt</translation>
    </message>
    <message>
        <source>A clip comes here: look as often and as slowly as you like, say what you see, then see what is there.</source>
        <translation>Hier kommt ein Clip hin: Schauen Sie so oft und so langsam, wie Sie mögen, sagen Sie, was Sie sehen, dann sehen Sie, was da ist.</translation>
    </message>
    <message>
        <source>This picture of the film cannot be read</source>
        <translation>Dieses Bild des Films ist nicht lesbar</translation>
    </message>
    <message>
        <source>The picture is being made …</source>
        <translation>Das Bild entsteht …</translation>
    </message>
</context>
<context>
    <name>bevel::ui::SeenDialog</name>
    <message>
        <source>Something seen at %1</source>
        <translation>Etwas gesehen bei %1</translation>
    </message>
    <message>
        <source>no side</source>
        <translation>keine Seite</translation>
    </message>
    <message>
        <source>What should the student do?</source>
        <translation>Was soll die Person tun?</translation>
    </message>
    <message>
        <source>It can hurt: comes before all else</source>
        <translation>Es kann weh tun: kommt vor allem anderen</translation>
    </message>
    <message>
        <source>Words</source>
        <translation>Worte</translation>
    </message>
    <message>
        <source>Part</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>Side</source>
        <translation>Seite</translation>
    </message>
    <message>
        <source>Keep it</source>
        <translation>Behalten</translation>
    </message>
</context>
<context>
    <name>bevel::ui::SeenRecord</name>
    <message>
        <source>%1 of %2</source>
        <comment>counts</comment>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>What to look at, and from where. What is at the edge, or cannot be told from a side, counts for nothing.</source>
        <translation>Worauf zu schauen ist, und von wo. Was am Rand liegt oder von einer Seite nicht zu sagen ist, zählt nicht.</translation>
    </message>
    <message>
        <source>What</source>
        <translation>Was</translation>
    </message>
    <message>
        <source>From where</source>
        <translation>Von wo</translation>
    </message>
    <message>
        <source>Found</source>
        <translation>Gefunden</translation>
    </message>
    <message>
        <source>Said, not there</source>
        <translation>Gesagt, nicht da</translation>
    </message>
    <message>
        <source>Right side</source>
        <translation>Richtige Seite</translation>
    </message>
    <message>
        <source>Right moment</source>
        <translation>Richtiger Moment</translation>
    </message>
    <message>
        <source>Day</source>
        <translation>Tag</translation>
    </message>
    <message>
        <source>Movement</source>
        <translation>Bewegung</translation>
    </message>
    <message>
        <source>How hard</source>
        <translation>Wie schwer</translation>
    </message>
    <message>
        <source>of the library</source>
        <translation>der Bibliothek</translation>
    </message>
    <message>
        <source>Seen</source>
        <translation>Gesehen</translation>
    </message>
    <message>
        <source>By what is to be seen, and from where</source>
        <translation>Nach dem, was zu sehen ist, und von wo</translation>
    </message>
    <message>
        <source>Clip by clip</source>
        <translation>Clip für Clip</translation>
    </message>
</context>
<context>
    <name>bevel::ui::SentDialog</name>
    <message>
        <source>Sent to %1</source>
        <translation>An %1 gesendet</translation>
    </message>
    <message>
        <source>Letters that were sent</source>
        <translation>Gesendete Briefe</translation>
    </message>
    <message>
        <source>When</source>
        <translation>Wann</translation>
    </message>
    <message>
        <source>As</source>
        <translation>Als</translation>
    </message>
    <message>
        <source>File</source>
        <translation>Datei</translation>
    </message>
    <message>
        <source>What was asked</source>
        <translation>Was erbeten war</translation>
    </message>
    <message>
        <source>Nothing was sent yet.</source>
        <translation>Noch nichts gesendet.</translation>
    </message>
    <message>
        <source>Open as it was</source>
        <translation>Öffnen, wie es war</translation>
    </message>
    <message>
        <source>PDF</source>
        <translation>PDF</translation>
    </message>
    <message>
        <source>HTML</source>
        <translation>HTML</translation>
    </message>
    <message>
        <source>slow motion</source>
        <translation>Zeitlupe</translation>
    </message>
    <message>
        <source>print</source>
        <translation>Druck</translation>
    </message>
    <message>
        <source>%1, hidden</source>
        <translation>%1, verborgen</translation>
    </message>
    <message>
        <source>Letters are kept as they went out. Of a clip the stretch is kept.</source>
        <translation>Briefe werden bewahrt, wie sie hinausgingen. Von einem Film wird der Abschnitt bewahrt.</translation>
    </message>
    <message>
        <source>text</source>
        <translation>Text</translation>
    </message>
    <message>
        <source>picture card</source>
        <translation>Bildkarte</translation>
    </message>
    <message>
        <source>spoken</source>
        <translation>gesprochen</translation>
    </message>
</context>
<context>
    <name>bevel::ui::SettingsDialog</name>
    <message>
        <source>Choose …</source>
        <translation>Wählen …</translation>
    </message>
    <message>
        <source>Choose a folder: %1</source>
        <translation>Ordner wählen: %1</translation>
    </message>
    <message>
        <source>Settings</source>
        <translation>Einstellungen</translation>
    </message>
    <message>
        <source>as the system</source>
        <translation>wie das System</translation>
    </message>
    <message>
        <source>Language</source>
        <translation>Sprache</translation>
    </message>
    <message>
        <source>Colours</source>
        <translation>Farben</translation>
    </message>
    <message>
        <source>light</source>
        <translation>hell</translation>
    </message>
    <message>
        <source>dark</source>
        <translation>dunkel</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>Size of the text</source>
        <translation>Schriftgröße</translation>
    </message>
    <message>
        <source>Lengths</source>
        <translation>Längen</translation>
    </message>
    <message>
        <source>centimetres</source>
        <translation>Zentimeter</translation>
    </message>
    <message>
        <source>inches</source>
        <translation>Zoll</translation>
    </message>
    <message>
        <source>Widths of the stance</source>
        <translation>Breiten des Standes</translation>
    </message>
    <message>
        <source>in shoulder widths (SW)</source>
        <translation>in Schulterbreiten (SB)</translation>
    </message>
    <message>
        <source>as a length</source>
        <translation>als Länge</translation>
    </message>
    <message>
        <source>in own fists</source>
        <translation>in eigenen Fäusten</translation>
    </message>
    <message>
        <source>in own foot lengths</source>
        <translation>in eigenen Fußlängen</translation>
    </message>
    <message>
        <source>Finding the body</source>
        <translation>Den Körper finden</translation>
    </message>
    <message>
        <source>quick, less sure</source>
        <translation>schnell, weniger sicher</translation>
    </message>
    <message>
        <source>usual</source>
        <translation>üblich</translation>
    </message>
    <message>
        <source>thorough, takes several times as long</source>
        <translation>gründlich, dauert mehrmals so lang</translation>
    </message>
    <message>
        <source>New clips are mirrored</source>
        <translation>Neue Aufnahmen sind gespiegelt</translation>
    </message>
    <message>
        <source>Letters are signed by</source>
        <translation>Briefe unterschreibt</translation>
    </message>
    <message>
        <source>School or hall</source>
        <translation>Schule oder Halle</translation>
    </message>
    <message>
        <source>Library</source>
        <translation>Bibliothek</translation>
    </message>
    <message>
        <source>Folder of the library</source>
        <translation>Ordner der Bibliothek</translation>
    </message>
    <message>
        <source>the usual folder</source>
        <translation>der übliche Ordner</translation>
    </message>
    <message>
        <source>Another library is opened at the next start. This one stays where it is.</source>
        <translation>Eine andere Bibliothek wird beim nächsten Start geöffnet. Diese bleibt, wo sie ist.</translation>
    </message>
    <message>
        <source>Letters and clips go to</source>
        <translation>Briefe und Filme kommen nach</translation>
    </message>
    <message>
        <source>Folder of what is saved</source>
        <translation>Ordner für Gespeichertes</translation>
    </message>
    <message>
        <source>where the last one went</source>
        <translation>wohin das letzte kam</translation>
    </message>
    <message>
        <source>Take clips in from</source>
        <translation>Aufnahmen hereinnehmen aus</translation>
    </message>
    <message>
        <source>Folder whose clips are taken in by themselves</source>
        <translation>Ordner, dessen Aufnahmen von selbst hereinkommen</translation>
    </message>
    <message>
        <source>no folder is watched</source>
        <translation>kein Ordner wird beobachtet</translation>
    </message>
    <message>
        <source>Always of the student&apos;s own body. A fist is taken as a twentieth of the height, unless it was marked on a picture in Ground.</source>
        <translation>Immer vom eigenen Körper der übenden Person. Eine Faust gilt als ein Zwanzigstel der Größe, außer sie wurde unter „Boden“ auf einem Bild markiert.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::ShortcutSheet</name>
    <message>
        <source>Keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>Search</source>
        <translation>Suche</translation>
    </message>
    <message>
        <source>What do you want to do?</source>
        <translation>Was soll geschehen?</translation>
    </message>
    <message>
        <source>What</source>
        <translation>Was</translation>
    </message>
    <message>
        <source>Menu</source>
        <translation>Menü</translation>
    </message>
    <message>
        <source> or </source>
        <translation> oder </translation>
    </message>
</context>
<context>
    <name>bevel::ui::StillPair</name>
    <message>
        <source>This clip beside the last one of whom it may be</source>
        <translation>Diese Aufnahme neben der letzten von dem, der es sein kann</translation>
    </message>
    <message>
        <source>no clip yet</source>
        <translation>noch keine Aufnahme</translation>
    </message>
    <message>
        <source>this clip</source>
        <translation>diese Aufnahme</translation>
    </message>
</context>
<context>
    <name>bevel::ui::SureView</name>
    <message>
        <source>How sure the figures are</source>
        <translation>Wie sicher die Werte sind</translation>
    </message>
    <message>
        <source>cannot tell</source>
        <translation>nicht zu sagen</translation>
    </message>
    <message>
        <source>%1: %2 before, %3 now</source>
        <translation>%1: vorher %2, jetzt %3</translation>
    </message>
</context>
<context>
    <name>bevel::ui::TestsView</name>
    <message>
        <source>Which test</source>
        <translation>Welche Probe</translation>
    </message>
    <message>
        <source>Which clip shows it</source>
        <translation>Welche Aufnahme sie zeigt</translation>
    </message>
    <message>
        <source>Take it from this clip</source>
        <translation>Aus dieser Aufnahme nehmen</translation>
    </message>
    <message>
        <source>Type it in …</source>
        <translation>Eintippen …</translation>
    </message>
    <message>
        <source>Take out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>The newest test that tells the chosen figure</source>
        <translation>Die neueste Probe, die den gewählten Wert zeigt</translation>
    </message>
    <message>
        <source>Figure</source>
        <translation>Wert</translation>
    </message>
    <message>
        <source>Newest</source>
        <translation>Neueste</translation>
    </message>
    <message>
        <source>Day</source>
        <translation>Tag</translation>
    </message>
    <message>
        <source>Against the one before</source>
        <translation>Gegen die davor</translation>
    </message>
    <message>
        <source>the first of its kind</source>
        <translation>die erste ihrer Art</translation>
    </message>
    <message>
        <source>How</source>
        <translation>Wie</translation>
    </message>
    <message>
        <source>typed in</source>
        <translation>eingetippt</translation>
    </message>
    <message>
        <source>filmed, %1</source>
        <translation>gefilmt, %1</translation>
    </message>
    <message>
        <source>Figures of the test</source>
        <translation>Werte der Probe</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <comment>day, movement</comment>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>Sway is not seen by eye: film it</source>
        <translation>Schwanken sieht das Auge nicht: filmen</translation>
    </message>
    <message>
        <source>not done</source>
        <translation>nicht gemacht</translation>
    </message>
    <message>
        <source>Words</source>
        <translation>Worte</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>Take it up as this person&apos;s own</source>
        <translation>Als eigenes dieser Person übernehmen</translation>
    </message>
    <message>
        <source>Clips are held against it from now on; nothing is taken up by itself</source>
        <translation>Clips werden von nun an daran gehalten; von selbst wird nichts übernommen</translation>
    </message>
    <message>
        <source>Take that step</source>
        <translation>Diese Stufe nehmen</translation>
    </message>
    <message>
        <source>Nothing in it can be taken up: a range needs both sides, or it is taken up already.</source>
        <translation>Nichts davon lässt sich übernehmen: Eine Spanne braucht beide Seiten, oder sie ist schon übernommen.</translation>
    </message>
    <message>
        <source>Taken up. It stands under “What is right for …” and can be undone.</source>
        <translation>Übernommen. Es steht unter „Was richtig ist für …“ und lässt sich zurücknehmen.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::ThreadsModel</name>
    <message>
        <source>rests</source>
        <translation>ruht</translation>
    </message>
    <message>
        <source>not yet</source>
        <translation>noch nicht</translation>
    </message>
    <message>
        <source>this week</source>
        <translation>diese Woche</translation>
    </message>
    <message>
        <source>missed</source>
        <translation>ausgefallen</translation>
    </message>
    <message>
        <source>week %1, %2: %3</source>
        <translation>Woche %1, %2: %3</translation>
    </message>
    <message>
        <source>The week</source>
        <translation>Die Woche</translation>
    </message>
</context>
<context>
    <name>bevel::ui::ThreadsTable</name>
    <message>
        <source>Threads of the course over its weeks</source>
        <translation>Fäden des Kurses über seine Wochen</translation>
    </message>
    <message>
        <source>B begins a thread in the chosen week, Delete leaves it to the course again, M says the week was missed; marks can be dragged</source>
        <translation>B lässt einen Faden in der gewählten Woche beginnen, Entf überlässt es wieder dem Kurs, M sagt, dass die Woche ausfiel; Zeichen lassen sich ziehen</translation>
    </message>
    <message>
        <source>Weeks</source>
        <translation>Wochen</translation>
    </message>
    <message>
        <source>Threads</source>
        <translation>Fäden</translation>
    </message>
</context>
<context>
    <name>bevel::ui::TimeView</name>
    <message>
        <source>Weight tide and lanes</source>
        <translation>Gewichtsflut und Bahnen</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>Weight</source>
        <translation>Gewicht</translation>
    </message>
    <message>
        <source>share of each foot</source>
        <translation>Anteil jedes Fußes</translation>
    </message>
    <message>
        <source>share, feet apart lengthwise</source>
        <translation>Anteil, Füße in Länge auseinander</translation>
    </message>
    <message>
        <source>Phases</source>
        <translation>Phasen</translation>
    </message>
    <message>
        <source>up: longer than in the reference, down: shorter, as parts of the repetition</source>
        <translation>oben: länger als in der Referenz, unten: kürzer, als Teile der Wiederholung</translation>
    </message>
    <message>
        <source>no course in time; see the findings</source>
        <translation>kein Verlauf in der Zeit; siehe Befunde</translation>
    </message>
</context>
<context>
    <name>bevel::ui::TrendView</name>
    <message>
        <source>The figure over the days</source>
        <translation>Der Messwert über die Tage</translation>
    </message>
    <message numerus="yes">
        <source>%1: %2, %3, %n repetition(s)</source>
        <translation>
            <numerusform>%1: %2, %3, %n Wiederholung</numerusform>
            <numerusform>%1: %2, %3, %n Wiederholungen</numerusform>
        </translation>
    </message>
    <message>
        <source>Choose a figure above</source>
        <translation>Wähle oben einen Messwert</translation>
    </message>
    <message>
        <source>%1: %2, %3</source>
        <comment>a day, a figure, from where</comment>
        <translation>%1: %2, %3</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <comment>a day, a figure</comment>
        <translation>%1: %2</translation>
    </message>
</context>
<context>
    <name>bevel::ui::WeeksView</name>
    <message>
        <source>What the course is asked for</source>
        <translation>Worum der Kurs gebeten wird</translation>
    </message>
    <message>
        <source>Keep this course</source>
        <translation>Diesen Kurs behalten</translation>
    </message>
    <message>
        <source>Which course of this person</source>
        <translation>Welcher Kurs dieser Person</translation>
    </message>
    <message>
        <source>Another one</source>
        <translation>Noch einer</translation>
    </message>
    <message>
        <source>Weeks anew</source>
        <translation>Wochen neu</translation>
    </message>
    <message>
        <source>From this week on, by what is known of the person today</source>
        <translation>Ab dieser Woche, nach dem, was heute von der Person bekannt ist</translation>
    </message>
    <message>
        <source>Take out</source>
        <translation>Herausnehmen</translation>
    </message>
    <message>
        <source>Export</source>
        <translation>Ausgeben</translation>
    </message>
    <message>
        <source>Sheet for the wall as PDF …</source>
        <translation>Blatt für die Wand als PDF …</translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation>PDF (*.pdf)</translation>
    </message>
    <message>
        <source>Web page, large type …</source>
        <translation>Webseite, große Schrift …</translation>
    </message>
    <message>
        <source>HTML (*.html)</source>
        <translation>HTML (*.html)</translation>
    </message>
    <message>
        <source>Web page with sound beside it …</source>
        <translation>Webseite mit Ton daneben …</translation>
    </message>
    <message>
        <source>Web page with films beside it …</source>
        <translation>Webseite mit Filmen daneben …</translation>
    </message>
    <message>
        <source>Calendar …</source>
        <translation>Kalender …</translation>
    </message>
    <message>
        <source>Calendar (*.ics)</source>
        <translation>Kalender (*.ics)</translation>
    </message>
    <message>
        <source>Plan a lesson of it …</source>
        <translation>Eine Stunde planen …</translation>
    </message>
    <message>
        <source>Plan a day at home …</source>
        <translation>Einen Tag zu Hause planen …</translation>
    </message>
    <message>
        <source>Begins in this week</source>
        <translation>Beginnt in dieser Woche</translation>
    </message>
    <message>
        <source>This week was missed</source>
        <translation>Diese Woche fiel aus</translation>
    </message>
    <message>
        <source>Course from %1</source>
        <translation>Kurs ab %1</translation>
    </message>
    <message>
        <source>A course is of one person: choose whose. What is known of them decides what may be in it.</source>
        <translation>Ein Kurs ist der einer Person: Wählen Sie, wessen. Was von ihr bekannt ist, entscheidet, was darin sein darf.</translation>
    </message>
    <message>
        <source>▲ new   △ goes on   ● again   ○ from memory   dotted: it rests   frame: a clip is asked for   eye: it is looked at</source>
        <translation>▲ neu   △ geht weiter   ● wieder   ○ aus dem Gedächtnis   gepunktet: es ruht   Bild: ein Clip wird erbeten   Auge: er wird angesehen</translation>
    </message>
    <message>
        <source>a new course, not kept yet</source>
        <translation>ein neuer Kurs, noch nicht behalten</translation>
    </message>
    <message>
        <source>Week %1, from %2</source>
        <translation>Woche %1, ab %2</translation>
    </message>
    <message>
        <source>Missed.</source>
        <translation>Ausgefallen.</translation>
    </message>
    <message>
        <source>New: %1.</source>
        <translation>Neu: %1.</translation>
    </message>
    <message>
        <source>Again: %1.</source>
        <translation>Wieder: %1.</translation>
    </message>
    <message>
        <source>%1. %2</source>
        <translation>%1. %2</translation>
    </message>
    <message>
        <source>Choose a thread to see what it does in this week, and why.</source>
        <translation>Wählen Sie einen Faden, um zu sehen, was er in dieser Woche tut und warum.</translation>
    </message>
    <message>
        <source>Leave that to the course</source>
        <translation>Dem Kurs überlassen</translation>
    </message>
    <message>
        <source>This week was not missed</source>
        <translation>Diese Woche fiel nicht aus</translation>
    </message>
    <message>
        <source>What is known of %1 has changed since: %2.</source>
        <translation>Was von %1 bekannt ist, hat sich seither geändert: %2.</translation>
    </message>
    <message>
        <source>Follow it</source>
        <translation>Dem folgen</translation>
    </message>
    <message>
        <source>Week %1: nothing was practised, filmed or led. Was it missed?</source>
        <translation>Woche %1: Nichts wurde geübt, gefilmt oder geleitet. Fiel sie aus?</translation>
    </message>
    <message>
        <source>It was missed</source>
        <translation>Sie fiel aus</translation>
    </message>
    <message>
        <source>Pain was noted on %1 (%2): agree on a limit under People, and the course leaves out what it bars. Where it stays, ask a licensed clinician.</source>
        <translation>Am %1 wurde Schmerz notiert (%2): Vereinbaren Sie unter Menschen eine Grenze, und der Kurs lässt weg, was sie ausschließt. Wo er bleibt, fragen Sie eine Fachperson.</translation>
    </message>
    <message numerus="yes">
        <source>%n course(s) could not be read and stay in the library.</source>
        <translation>
            <numerusform>%n Kurs konnte nicht gelesen werden und bleibt in der Bibliothek.</numerusform>
            <numerusform>%n Kurse konnten nicht gelesen werden und bleiben in der Bibliothek.</numerusform>
        </translation>
    </message>
    <message>
        <source>what the course is asked for</source>
        <translation>worum der Kurs gebeten wird</translation>
    </message>
    <message>
        <source>Only one new thing begins in a week, and none in a lighter or a recall week.</source>
        <translation>In einer Woche beginnt nur eine neue Sache, und keine in einer leichteren oder einer Woche des Erinnerns.</translation>
    </message>
    <message>
        <source>A course needs a lesson or a day at home in its weeks.</source>
        <translation>Ein Kurs braucht in seinen Wochen eine Stunde oder einen Tag zu Hause.</translation>
    </message>
    <message>
        <source>So many weeks are over already: give it more.</source>
        <translation>So viele Wochen sind schon vorbei: Geben Sie ihm mehr.</translation>
    </message>
    <message>
        <source>a course taken out</source>
        <translation>ein Kurs herausgenommen</translation>
    </message>
    <message>
        <source>The weeks stay as they are.</source>
        <translation>Die Wochen bleiben, wie sie sind.</translation>
    </message>
    <message>
        <source>the weeks of a course made anew</source>
        <translation>die Wochen eines Kurses neu</translation>
    </message>
    <message>
        <source>when a thread begins</source>
        <translation>wann ein Faden beginnt</translation>
    </message>
    <message>
        <source>Only a week that is over can have been missed.</source>
        <translation>Nur eine Woche, die vorbei ist, kann ausgefallen sein.</translation>
    </message>
    <message>
        <source>a missed week</source>
        <translation>eine ausgefallene Woche</translation>
    </message>
    <message>
        <source>Day at home of week %1 of “%2”</source>
        <translation>Tag zu Hause der Woche %1 von „%2“</translation>
    </message>
    <message>
        <source>Lesson of week %1 of “%2”</source>
        <translation>Stunde der Woche %1 von „%2“</translation>
    </message>
    <message>
        <source>Writing %1</source>
        <translation>%1 wird geschrieben</translation>
    </message>
    <message>
        <source>Saved: %1</source>
        <translation>Gespeichert: %1</translation>
    </message>
    <message>
        <source>That is known already: it only comes back.</source>
        <translation>Das ist schon bekannt: Es kommt nur wieder.</translation>
    </message>
    <message>
        <source>That has begun already.</source>
        <translation>Das hat schon begonnen.</translation>
    </message>
    <message>
        <source>That week is over.</source>
        <translation>Diese Woche ist vorbei.</translation>
    </message>
    <message>
        <source>Which course of this class</source>
        <translation>Welcher Kurs dieser Gruppe</translation>
    </message>
    <message>
        <source>From this week on, by what is known of the class today</source>
        <translation>Ab dieser Woche, nach dem, was heute von der Gruppe bekannt ist</translation>
    </message>
    <message>
        <source>A course of the class: choose which class, or make one.</source>
        <translation>Ein Kurs der Gruppe: Wählen Sie eine Gruppe, oder legen Sie eine an.</translation>
    </message>
    <message>
        <source>What it is asked for</source>
        <translation>Worum er gebeten wird</translation>
    </message>
</context>
<context>
    <name>bevel::ui::Welcome</name>
    <message>
        <source>Good to have you here. Begin with …</source>
        <translation>Schön, dass Sie da sind. Beginnen Sie mit …</translation>
    </message>
    <message>
        <source>A first clip …</source>
        <translation>Ein erster Clip …</translation>
    </message>
    <message>
        <source>A film of one student&apos;s practice, from a phone. It can be dropped anywhere in this window, too.</source>
        <translation>Ein Film von der Übung einer Person, vom Telefon. Er kann auch irgendwo in dieses Fenster gezogen werden.</translation>
    </message>
    <message>
        <source>A folder that is watched …</source>
        <translation>Ein Ordner, der beobachtet wird …</translation>
    </message>
    <message>
        <source>Clips that your phone or messenger saves there are taken in by themselves, each once.</source>
        <translation>Clips, die Telefon oder Nachrichtendienst dort ablegen, werden von selbst aufgenommen, jeder einmal.</translation>
    </message>
    <message>
        <source>A look at Lantern Quay</source>
        <translation>Ein Blick auf Lantern Quay</translation>
    </message>
    <message>
        <source>A made-up hall with students, clips and letters, in a window of its own; your library stays as it is.</source>
        <translation>Ein erfundener Saal mit Personen, Clips und Briefen, in einem eigenen Fenster; Ihre Bibliothek bleibt, wie sie ist.</translation>
    </message>
    <message>
        <source>A good clip</source>
        <translation>Ein guter Clip</translation>
    </message>
    <message>
        <source>The whole body with both feet, for the whole time, the phone upright on something firm at the height of the hips. Straight from the front or straight from a side. A quiet second of standing first, then three repetitions.</source>
        <translation>Der ganze Körper mit beiden Füßen, die ganze Zeit, das Telefon aufrecht auf etwas Festem in Hüfthöhe. Gerade von vorn oder gerade von der Seite. Zuerst eine ruhige Sekunde Stehen, dann drei Wiederholungen.</translation>
    </message>
    <message>
        <source>Where things are kept</source>
        <translation>Wo alles aufbewahrt wird</translation>
    </message>
    <message>
        <source>Everything stays on this computer, in %1. Nothing is sent anywhere unless you send it.</source>
        <translation>Alles bleibt auf diesem Rechner, in %1. Nichts wird verschickt, außer Sie verschicken es.</translation>
    </message>
</context>
<context>
    <name>bevel::ui::WhichBox</name>
    <message>
        <source>What else this may be</source>
        <translation>Was dies sonst sein kann</translation>
    </message>
    <message>
        <source>This looks like %1</source>
        <translation>Das sieht nach „%1“ aus</translation>
    </message>
    <message>
        <source>The clip is named %1, which explains it clearly worse. Corrections would be those of the wrong movement, so nothing is judged. Figures and lanes stand as they were measured.</source>
        <translation>Die Aufnahme heißt „%1“, und das erklärt sie deutlich schlechter. Korrekturen wären die der falschen Bewegung, darum wird nichts beurteilt. Zahlen und Bahnen stehen da, wie sie gemessen wurden.</translation>
    </message>
    <message>
        <source>Is this %1?</source>
        <translation>Ist das „%1“?</translation>
    </message>
    <message>
        <source>It is named %1. The two look so much alike from here that only you can tell; it is judged as it is named.</source>
        <translation>Sie heißt „%1“. Von hier sehen sich die beiden so ähnlich, dass nur ein Mensch sie unterscheiden kann; beurteilt wird, wie sie heißt.</translation>
    </message>
    <message>
        <source>Part of this looks like something else</source>
        <translation>Ein Teil davon sieht nach etwas anderem aus</translation>
    </message>
    <message>
        <source>%1 to %2: %3</source>
        <translation>%1 bis %2: %3</translation>
    </message>
    <message>
        <source>Left out, and not judged as %1:
%2</source>
        <translation>Ausgelassen und nicht als „%1“ beurteilt:
%2</translation>
    </message>
    <message>
        <source>%1 to %2 is left out: the clip begins or ends in it.</source>
        <translation>%1 bis %2 ist ausgelassen: Die Aufnahme beginnt oder endet darin.</translation>
    </message>
    <message>
        <source>%1 to %2 is left out: it is not like the movement from beginning to end.</source>
        <translation>%1 bis %2 ist ausgelassen: Es gleicht der Bewegung nicht von Anfang bis Ende.</translation>
    </message>
    <message>
        <source>It is %1</source>
        <translation>Es ist „%1“</translation>
    </message>
    <message>
        <source>It is %1 all the same (Y)</source>
        <translation>Es ist trotzdem „%1“ (Y)</translation>
    </message>
    <message>
        <source>All of it is %1 (Y)</source>
        <translation>Alles davon ist „%1“ (Y)</translation>
    </message>
</context>
<context>
    <name>bevel::ui::WhyDialog</name>
    <message>
        <source>Figure, band and repetitions</source>
        <translation>Wert, Bereich und Wiederholungen</translation>
    </message>
    <message>
        <source>Figure</source>
        <translation>Wert</translation>
    </message>
    <message>
        <source>Band</source>
        <translation>Bereich</translation>
    </message>
    <message>
        <source>Why: %1</source>
        <translation>Warum: %1</translation>
    </message>
    <message>
        <source>Agree on another band …</source>
        <translation>Einen anderen Bereich vereinbaren …</translation>
    </message>
    <message>
        <source>Show me</source>
        <translation>Zeigen</translation>
    </message>
    <message>
        <source>The fault beside the right one, in Forms</source>
        <translation>Der Fehler neben dem Richtigen, unter Formen</translation>
    </message>
</context>
<context>
    <name>bevel::ui::WithBox</name>
    <message>
        <source>Picture for the mind</source>
        <translation>Bild für die Vorstellung</translation>
    </message>
    <message>
        <source>Drill that isolates it</source>
        <translation>Vorübung dafür allein</translation>
    </message>
    <message>
        <source>What to practise at home</source>
        <translation>Was zu Hause zu üben ist</translation>
    </message>
    <message>
        <source>How often a day</source>
        <translation>Wie oft am Tag</translation>
    </message>
    <message>
        <source>× a day</source>
        <translation>× am Tag</translation>
    </message>
    <message>
        <source>Repeats a side</source>
        <translation>Wiederholungen je Seite</translation>
    </message>
    <message>
        <source> a side</source>
        <translation> je Seite</translation>
    </message>
    <message>
        <source>Hold, seconds</source>
        <translation>Halten, Sekunden</translation>
    </message>
    <message>
        <source> s hold</source>
        <translation> s halten</translation>
    </message>
    <message>
        <source>Image</source>
        <translation>Bild</translation>
    </message>
    <message>
        <source>Drill</source>
        <translation>Vorübung</translation>
    </message>
    <message>
        <source>At home</source>
        <translation>Zu Hause</translation>
    </message>
    <message>
        <source>With “%1”</source>
        <translation>Zu „%1“</translation>
    </message>
    <message>
        <source>Choose a correction: what goes with it stands here.</source>
        <translation>Wähle eine Korrektur: Was dazugehört, steht hier.</translation>
    </message>
    <message>
        <source>none</source>
        <translation>nichts</translation>
    </message>
    <message>
        <source>%1 (for another rule)</source>
        <translation>%1 (für eine andere Regel)</translation>
    </message>
    <message>
        <source>Drill: %1</source>
        <translation>Vorübung: %1</translation>
    </message>
    <message>
        <source>times a day</source>
        <translation>mal am Tag</translation>
    </message>
    <message>
        <source>a side</source>
        <translation>je Seite</translation>
    </message>
    <message>
        <source>hold</source>
        <translation>halten</translation>
    </message>
    <message>
        <source>%1 (not now)</source>
        <translation>%1 (jetzt nicht)</translation>
    </message>
    <message>
        <source>Something hurt on the day of this clip: ask before it is practised at home.</source>
        <translation>Am Tag dieser Aufnahme tat etwas weh: Bitte fragen, bevor es zu Hause geübt wird.</translation>
    </message>
</context>
<context>
    <name>card</name>
    <message>
        <source>breathe in</source>
        <translation>einatmen</translation>
    </message>
    <message>
        <source>breathe out</source>
        <translation>ausatmen</translation>
    </message>
    <message>
        <source>%1 – %2</source>
        <translation>%1 – %2</translation>
    </message>
    <message numerus="yes">
        <source>%n time(s).</source>
        <translation>
            <numerusform>%n-mal.</numerusform>
            <numerusform>%n-mal.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n time(s) to each side; the other side is its mirror image.</source>
        <translation>
            <numerusform>%n-mal zu jeder Seite; die andere Seite ist das Spiegelbild.</numerusform>
            <numerusform>%n-mal zu jeder Seite; die andere Seite ist das Spiegelbild.</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
</context>
<context>
    <name>classes</name>
    <message>
        <source>%1 · %2 · for whoever leads; it names limits of people</source>
        <translation>%1 · %2 · für die Leitung; nennt Grenzen von Menschen</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>May not</source>
        <translation>Darf nicht</translation>
    </message>
    <message>
        <source>Today</source>
        <translation>Heute</translation>
    </message>
    <message>
        <source>away</source>
        <translation>fehlt</translation>
    </message>
    <message>
        <source>Min</source>
        <translation>Min</translation>
    </message>
    <message>
        <source>All</source>
        <translation>Alle</translation>
    </message>
    <message>
        <source>Instead</source>
        <translation>Stattdessen</translation>
    </message>
    <message>
        <source>Or</source>
        <translation>Oder</translation>
    </message>
    <message>
        <source>%1 at %2</source>
        <comment>weekday, time</comment>
        <translation>%1 um %2</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
    <message>
        <source>neck</source>
        <translation>Nacken</translation>
    </message>
    <message>
        <source>low back</source>
        <translation>unterer Rücken</translation>
    </message>
    <message>
        <source>shoulders</source>
        <translation>Schultern</translation>
    </message>
    <message>
        <source>knees</source>
        <translation>Knie</translation>
    </message>
    <message>
        <source>wrists</source>
        <translation>Handgelenke</translation>
    </message>
    <message>
        <source>hips</source>
        <translation>Hüften</translation>
    </message>
    <message>
        <source>dizzy</source>
        <translation>schwindlig</translation>
    </message>
    <message>
        <source>unsteady</source>
        <translation>unsicher</translation>
    </message>
    <message>
        <source>tired</source>
        <translation>müde</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <comment>names, what they do</comment>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>%1: less than asked</source>
        <translation>%1: weniger als verlangt</translation>
    </message>
    <message>
        <source>%1: more than asked</source>
        <translation>%1: mehr als verlangt</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <comment>people</comment>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>sure</source>
        <translation>sicher</translation>
    </message>
    <message>
        <source>%1 to %2 by what their clips can tell</source>
        <translation>%1 bis %2 nach dem, was die Aufnahmen zeigen</translation>
    </message>
    <message>
        <source>not told</source>
        <translation>nicht erkennbar</translation>
    </message>
    <message>
        <source>%1 before, %2 since</source>
        <translation>vorher %1, seither %2</translation>
    </message>
    <message>
        <source>%1: no change that can be told</source>
        <translation>%1: keine erkennbare Änderung</translation>
    </message>
    <message>
        <source>%1: fewer</source>
        <translation>%1: weniger</translation>
    </message>
    <message>
        <source>%1: more</source>
        <translation>%1: mehr</translation>
    </message>
    <message>
        <source>To all of %1,</source>
        <translation>An alle von %1,</translation>
    </message>
    <message>
        <source>Fewer of you than before show this: %1. Well done, and keep it.</source>
        <translation>Dies zeigen weniger von euch als zuvor: %1. Gut so, und weiter.</translation>
    </message>
    <message>
        <source>One thing for all of us until the next lesson. In %1 clips this is seen: %2.</source>
        <translation>Eine Sache für uns alle bis zur nächsten Stunde. In %1 Aufnahmen ist zu sehen: %2.</translation>
    </message>
    <message>
        <source>It is practised in %1 like this: %2</source>
        <translation>Geübt wird es in „%1“ so: %2</translation>
    </message>
    <message>
        <source>%1 · as of %2 · for whoever leads; it names limits of people</source>
        <translation>%1 · Stand %2 · für die Leitung; es nennt, was Menschen nicht tun dürfen</translation>
    </message>
    <message>
        <source>Level: %1</source>
        <translation>Stufe: %1</translation>
    </message>
    <message>
        <source>Taught up to: %1</source>
        <translation>Gelernt bis: %1</translation>
    </message>
    <message>
        <source>Balance</source>
        <translation>Gleichgewicht</translation>
    </message>
    <message>
        <source>Course: %1, week %2 of %3</source>
        <translation>Kurs: %1, Woche %2 von %3</translation>
    </message>
    <message>
        <source>Week</source>
        <translation>Woche</translation>
    </message>
    <message>
        <source>New</source>
        <translation>Neu</translation>
    </message>
    <message>
        <source>Again</source>
        <translation>Wieder</translation>
    </message>
    <message>
        <source>%1, from %2</source>
        <comment>number of a week, day</comment>
        <translation>%1, ab %2</translation>
    </message>
    <message>
        <source>The last lessons</source>
        <translation>Die letzten Stunden</translation>
    </message>
    <message>
        <source>%1, %2 of %3 here: %4</source>
        <comment>day, how many</comment>
        <translation>%1, %2 von %3 da: %4</translation>
    </message>
    <message>
        <source>What is common</source>
        <translation>Was vielen gemeinsam ist</translation>
    </message>
    <message>
        <source>Floor: %1</source>
        <translation>Boden: %1</translation>
    </message>
</context>
<context>
    <name>data</name>
    <message>
        <source>180 degrees minus the angle hip-knee-ankle; 0 is straight, past straight negative</source>
        <translation>180 Grad minus den Winkel Hüfte-Knie-Knöchel; 0 ist gestreckt, überstreckt negativ</translation>
    </message>
    <message>
        <source>180 degrees minus the angle shoulder-elbow-wrist</source>
        <translation>180 Grad minus den Winkel Schulter-Ellbogen-Handgelenk</translation>
    </message>
    <message>
        <source>3d</source>
        <translation>3D</translation>
    </message>
    <message>
        <source>3d, floor plan</source>
        <translation>3D, Grundriss</translation>
    </message>
    <message>
        <source>3d, floor plan; front, back estimated</source>
        <translation>3D, Grundriss; von vorn und hinten geschätzt</translation>
    </message>
    <message>
        <source>3d, front and side: own axis</source>
        <translation>3D, von vorn und der Seite: auf der eigenen Achse</translation>
    </message>
    <message>
        <source>3d; front, back in the picture plane</source>
        <translation>3D; von vorn und hinten in der Bildebene</translation>
    </message>
    <message>
        <source>3d; left, right up to 50 degrees</source>
        <translation>3D; von der Seite bis 50 Grad</translation>
    </message>
    <message>
        <source>A foot lands and leaves in the order asked</source>
        <translation>Ein Fuß setzt auf und löst sich in der verlangten Folge</translation>
    </message>
    <message>
        <source>A foot that comes back lands on its former place</source>
        <translation>Ein Fuß, der zurückkommt, steht wieder auf seinem Platz</translation>
    </message>
    <message>
        <source>A hold keeps its form</source>
        <translation>Ein Halten behält seine Form</translation>
    </message>
    <message>
        <source>Arm from trunk</source>
        <translation>Arm vom Rumpf</translation>
    </message>
    <message>
        <source>As the weight arrives, let the knee look where the toes look; open the hip a little.</source>
        <translation>Wenn das Gewicht ankommt, lass das Knie dorthin schauen, wohin die Zehen schauen; öffne die Hüfte ein wenig.</translation>
    </message>
    <message>
        <source>As you rise, let the chest stay over the hips; do not lean back.</source>
        <translation>Beim Steigen bleibt die Brust über den Hüften; lehn dich nicht zurück.</translation>
    </message>
    <message>
        <source>As you sink, let both knees open over the toes, as if holding a large ball between them.</source>
        <translation>Beim Sinken öffnen sich beide Knie über die Zehen, als hielten sie einen großen Ball.</translation>
    </message>
    <message>
        <source>Bend or turn, one at a time: come up out of the side bend before you turn.</source>
        <translation>Neigen oder drehen, eins nach dem anderen: komm aus der Seitneigung hoch, bevor du drehst.</translation>
    </message>
    <message>
        <source>Bend the standing knee a little before the other foot leaves.</source>
        <translation>Beuge das Standknie ein wenig, bevor der andere Fuß geht.</translation>
    </message>
    <message>
        <source>Both feet turn out alike</source>
        <translation>Beide Füße zeigen gleich weit nach außen</translation>
    </message>
    <message>
        <source>Both feet turn out alike.</source>
        <translation>Beide Füße zeigen gleich weit nach außen.</translation>
    </message>
    <message>
        <source>Both sides are practised alike often.</source>
        <translation>Beide Seiten werden gleich oft geübt.</translation>
    </message>
    <message>
        <source>Both sides reach alike.</source>
        <translation>Beide Seiten reichen gleich weit.</translation>
    </message>
    <message>
        <source>Both sides reach the same</source>
        <translation>Beide Seiten reichen gleich weit</translation>
    </message>
    <message>
        <source>Both sitting bones carry alike.</source>
        <translation>Beide Sitzknochen tragen gleich.</translation>
    </message>
    <message>
        <source>Breath against rise and sink</source>
        <translation>Atem gegen Steigen und Sinken</translation>
    </message>
    <message>
        <source>Breath and movement go together.</source>
        <translation>Atem und Bewegung gehen zusammen.</translation>
    </message>
    <message>
        <source>Bring the feet a little closer, so that the knees can stay over the toes.</source>
        <translation>Stell die Füße ein wenig näher zusammen, damit die Knie über den Zehen bleiben können.</translation>
    </message>
    <message>
        <source>Bring the foot back to where it stood; a mark on the floor helps.</source>
        <translation>Bring den Fuß dorthin zurück, wo er stand; ein Zeichen am Boden hilft.</translation>
    </message>
    <message>
        <source>Contact</source>
        <translation>Bodenkontakt</translation>
    </message>
    <message>
        <source>Crown and body centre stay over the base</source>
        <translation>Scheitel und Körpermitte bleiben über der Standfläche</translation>
    </message>
    <message>
        <source>Crown up, gaze level, no tilt of the head</source>
        <translation>Scheitel hoch, Blick waagrecht, Kopf nicht geneigt</translation>
    </message>
    <message>
        <source>Draw the foot in</source>
        <translation>Den Fuß heranziehen</translation>
    </message>
    <message>
        <source>Drift of the planted foot</source>
        <translation>Wandern des stehenden Fußes</translation>
    </message>
    <message>
        <source>Duration of the shift</source>
        <translation>Dauer der Verlagerung</translation>
    </message>
    <message>
        <source>Ease the chest; let the upper back be broad.</source>
        <translation>Löse die Brust; lass den oberen Rücken breit sein.</translation>
    </message>
    <message>
        <source>Effort stays near seven tenths of the comfortable range</source>
        <translation>Die Anstrengung bleibt bei sieben Zehnteln des bequemen Umfangs</translation>
    </message>
    <message>
        <source>Elbow bend</source>
        <translation>Ellbogenbeugung</translation>
    </message>
    <message>
        <source>Elbow under the arm&apos;s line</source>
        <translation>Ellbogen unter der Armlinie</translation>
    </message>
    <message>
        <source>Empty the foot before it turns: shift or rise first, then turn it in one go.</source>
        <translation>Leere den Fuß, bevor er dreht: erst verlagern oder steigen, dann in einem Zug drehen.</translation>
    </message>
    <message>
        <source>Evenness of repetitions</source>
        <translation>Gleichmaß der Wiederholungen</translation>
    </message>
    <message>
        <source>Evenness of the swing</source>
        <translation>Gleichmaß des Schwingens</translation>
    </message>
    <message>
        <source>Facing</source>
        <translation>Blickrichtung des Körpers</translation>
    </message>
    <message>
        <source>Film at least three repetitions.</source>
        <translation>Film mindestens drei Wiederholungen.</translation>
    </message>
    <message>
        <source>Film from the front, camera at hip height, both feet in the picture.</source>
        <translation>Film von vorn, Kamera in Hüfthöhe, beide Füße im Bild.</translation>
    </message>
    <message>
        <source>Film from the side, camera at hip height, the whole body in the picture.</source>
        <translation>Film von der Seite, Kamera in Hüfthöhe, der ganze Körper im Bild.</translation>
    </message>
    <message>
        <source>Film the whole set.</source>
        <translation>Film den ganzen Satz.</translation>
    </message>
    <message>
        <source>Finger direction</source>
        <translation>Fingerrichtung</translation>
    </message>
    <message>
        <source>Finish together</source>
        <translation>Gemeinsames Ankommen</translation>
    </message>
    <message>
        <source>Foot from its place</source>
        <translation>Fuß von seinem Platz</translation>
    </message>
    <message>
        <source>Forward bends fold at the hip with soft knees</source>
        <translation>Vorbeugen falten in der Hüfte, mit weichen Knien</translation>
    </message>
    <message>
        <source>Forward lean</source>
        <translation>Vorneigung</translation>
    </message>
    <message>
        <source>Gather and cross</source>
        <translation>Sammeln und kreuzen</translation>
    </message>
    <message>
        <source>Gather the ball</source>
        <translation>Den Ball sammeln</translation>
    </message>
    <message>
        <source>Gaze at the Moon</source>
        <translation>Den Mond betrachten</translation>
    </message>
    <message>
        <source>Gaze up or down</source>
        <translation>Blick nach oben oder unten</translation>
    </message>
    <message>
        <source>Grow tall from the crown and let the tail hang, as if from a thread.</source>
        <translation>Werde lang vom Scheitel her und lass das Steißbein hängen, wie an einem Faden.</translation>
    </message>
    <message>
        <source>Halt in the shift</source>
        <translation>Halt in der Verlagerung</translation>
    </message>
    <message>
        <source>Hand after waist</source>
        <translation>Hand nach Taille</translation>
    </message>
    <message>
        <source>Hand ahead</source>
        <translation>Hand voraus</translation>
    </message>
    <message>
        <source>Hand and foot go together as named.</source>
        <translation>Hand und Fuß gehen zusammen, wie benannt.</translation>
    </message>
    <message>
        <source>Hand from the centre</source>
        <translation>Hand von der Mitte</translation>
    </message>
    <message>
        <source>Hand height</source>
        <translation>Handhöhe</translation>
    </message>
    <message>
        <source>Hands and weight arrive together.</source>
        <translation>Hände und Gewicht kommen zusammen an.</translation>
    </message>
    <message>
        <source>Hands, pelvis and weight finish together</source>
        <translation>Hände, Becken und Gewicht kommen zusammen an</translation>
    </message>
    <message>
        <source>Head forward</source>
        <translation>Kopf vor</translation>
    </message>
    <message>
        <source>Head height</source>
        <translation>Kopfhöhe</translation>
    </message>
    <message>
        <source>Head tilt</source>
        <translation>Kopfneigung</translation>
    </message>
    <message>
        <source>Head turn</source>
        <translation>Kopfdrehung</translation>
    </message>
    <message>
        <source>Heel height</source>
        <translation>Fersenhöhe</translation>
    </message>
    <message>
        <source>Heels and toes stay down unless the phase lifts them</source>
        <translation>Fersen und Zehen bleiben unten, wenn die Phase sie nicht hebt</translation>
    </message>
    <message>
        <source>Height is kept; sinking is as deep as asked</source>
        <translation>Die Höhe bleibt; gesunken wird so tief wie verlangt</translation>
    </message>
    <message>
        <source>High and mobile</source>
        <translation>Hoch und beweglich</translation>
    </message>
    <message>
        <source>Hip height</source>
        <translation>Hüfthöhe</translation>
    </message>
    <message>
        <source>Hips and shoulders turn as the phase asks</source>
        <translation>Hüften und Schultern drehen, wie die Phase es verlangt</translation>
    </message>
    <message>
        <source>Hips and shoulders turn together.</source>
        <translation>Hüften und Schultern drehen zusammen.</translation>
    </message>
    <message>
        <source>Holds last as planned and repeats are even</source>
        <translation>Halten dauert wie geplant, Wiederholungen sind gerecht verteilt</translation>
    </message>
    <message>
        <source>In a wide easy stance, pour the weight to one side, turn from the waist and lift the hands towards the moon; unwind and change sides.</source>
        <translation>In weitem leichtem Stand das Gewicht zur Seite gießen, aus der Taille drehen und die Hände zum Mond heben; zurückdrehen und die Seite wechseln.</translation>
    </message>
    <message>
        <source>In a wide stance, rise with crossing hands, part them overhead and sink as the arms open; the front hand changes from side to side.</source>
        <translation>In weitem Stand mit gekreuzten Händen steigen, sie über dem Kopf teilen und sinken, während die Arme sich öffnen; die vordere Hand wechselt von Seite zu Seite.</translation>
    </message>
    <message>
        <source>In one line with the back leg</source>
        <translation>In einer Linie mit dem hinteren Bein</translation>
    </message>
    <message>
        <source>In turning moves the leading hand follows the breastbone</source>
        <translation>Beim Drehen folgt die führende Hand dem Brustbein</translation>
    </message>
    <message>
        <source>Keep facing ahead; you drift to your left.</source>
        <translation>Bleib nach vorn gewandt; du wanderst nach links.</translation>
    </message>
    <message>
        <source>Keep facing ahead; you drift to your right.</source>
        <translation>Bleib nach vorn gewandt; du wanderst nach rechts.</translation>
    </message>
    <message>
        <source>Keep the front knee soft, as if resting on a cushion.</source>
        <translation>Halte das vordere Knie weich, als ruhte es auf einem Kissen.</translation>
    </message>
    <message>
        <source>Keep the hands as close on the tool as at the start.</source>
        <translation>Halte die Hände am Gerät so nah beisammen wie am Anfang.</translation>
    </message>
    <message>
        <source>Keep the hands as far apart on the tool as at the start.</source>
        <translation>Halte die Hände am Gerät so weit auseinander wie am Anfang.</translation>
    </message>
    <message>
        <source>Keep the height you began with; end the hold when it changes.</source>
        <translation>Behalte die Höhe, mit der du begonnen hast; hör auf, wenn sie sich ändert.</translation>
    </message>
    <message>
        <source>Keep the hips level as the foot leaves: let the free side stay as high as the standing one.</source>
        <translation>Halte die Hüften waagrecht, wenn der Fuß geht: die freie Seite bleibt so hoch wie die stehende.</translation>
    </message>
    <message>
        <source>Keep the line you began with; end the hold when the trunk tips.</source>
        <translation>Behalte die Linie, mit der du begonnen hast; hör auf, wenn der Rumpf kippt.</translation>
    </message>
    <message>
        <source>Keep the share of the weight you began with.</source>
        <translation>Behalte die Gewichtsverteilung, mit der du begonnen hast.</translation>
    </message>
    <message>
        <source>Knee against toe line</source>
        <translation>Knie gegen Zehenlinie</translation>
    </message>
    <message>
        <source>Knee bend</source>
        <translation>Kniebeugung</translation>
    </message>
    <message>
        <source>Knee falls in</source>
        <translation>Knie fällt nach innen</translation>
    </message>
    <message>
        <source>Knee opening</source>
        <translation>Knieöffnung</translation>
    </message>
    <message>
        <source>Knee past toe</source>
        <translation>Knie vor den Zehen</translation>
    </message>
    <message>
        <source>Leave a little bend in the elbow.</source>
        <translation>Lass im Ellbogen ein wenig Beugung.</translation>
    </message>
    <message>
        <source>Leave a little give in the back knee.</source>
        <translation>Lass das hintere Knie ein wenig nachgeben.</translation>
    </message>
    <message>
        <source>Leave a little weight in the other foot.</source>
        <translation>Lass ein wenig Gewicht im anderen Fuß.</translation>
    </message>
    <message>
        <source>Leave the feet where you set them.</source>
        <translation>Lass die Füße, wo du sie hingestellt hast.</translation>
    </message>
    <message>
        <source>Leave the space of an egg under each arm.</source>
        <translation>Lass unter jedem Arm Platz für ein Ei.</translation>
    </message>
    <message>
        <source>Left and right reach</source>
        <translation>Reichweite links und rechts</translation>
    </message>
    <message>
        <source>Let both knees open over the toes; the space between them should match that between the feet.</source>
        <translation>Lass beide Knie sich über die Zehen öffnen; ihr Abstand gleicht dem der Füße.</translation>
    </message>
    <message>
        <source>Let both knees stay soft.</source>
        <translation>Lass beide Knie weich.</translation>
    </message>
    <message>
        <source>Let every repetition last as long as the one before; count your breaths if it helps.</source>
        <translation>Lass jede Wiederholung so lang dauern wie die vorige; zähl deine Atemzüge, wenn es hilft.</translation>
    </message>
    <message>
        <source>Let hands and weight arrive at the same moment, like one wave.</source>
        <translation>Lass Hände und Gewicht im selben Augenblick ankommen, wie eine Welle.</translation>
    </message>
    <message>
        <source>Let the arms begin here, and let the waist follow.</source>
        <translation>Lass hier die Arme beginnen und die Taille folgen.</translation>
    </message>
    <message>
        <source>Let the back foot point a little more forward before you step.</source>
        <translation>Lass den hinteren Fuß etwas mehr nach vorn zeigen, bevor du trittst.</translation>
    </message>
    <message>
        <source>Let the back of the neck be long and bring the ears back over the shoulders.</source>
        <translation>Mach den Nacken lang und bring die Ohren zurück über die Schultern.</translation>
    </message>
    <message>
        <source>Let the ball of the foot touch first, then lower the heel.</source>
        <translation>Lass zuerst den Ballen aufsetzen, dann senk die Ferse.</translation>
    </message>
    <message>
        <source>Let the breath begin with the movement, not after it.</source>
        <translation>Lass den Atem mit der Bewegung beginnen, nicht nach ihr.</translation>
    </message>
    <message>
        <source>Let the chin come gently in; you look up.</source>
        <translation>Nimm das Kinn sanft heran; du schaust nach oben.</translation>
    </message>
    <message>
        <source>Let the elbow hang below the line from shoulder to wrist.</source>
        <translation>Lass den Ellbogen unter der Linie von Schulter zu Handgelenk hängen.</translation>
    </message>
    <message>
        <source>Let the eyes rest on the horizon; you look down.</source>
        <translation>Lass die Augen am Horizont ruhen; du schaust nach unten.</translation>
    </message>
    <message>
        <source>Let the feet begin: shift first, and let the waist follow.</source>
        <translation>Lass die Füße beginnen: erst verlagern, dann folgt die Taille.</translation>
    </message>
    <message>
        <source>Let the foot land with nothing on it, as if testing ice; only then begin to pour the weight across.</source>
        <translation>Setz den Fuß leer auf, als prüftest du Eis; erst dann beginne, das Gewicht hinüberzugießen.</translation>
    </message>
    <message>
        <source>Let the front foot point straight ahead, no further in.</source>
        <translation>Lass den vorderen Fuß geradeaus zeigen, nicht weiter nach innen.</translation>
    </message>
    <message>
        <source>Let the front foot point straight ahead.</source>
        <translation>Lass den vorderen Fuß geradeaus zeigen.</translation>
    </message>
    <message>
        <source>Let the hand come a little higher.</source>
        <translation>Lass die Hand etwas höher kommen.</translation>
    </message>
    <message>
        <source>Let the hand rest a little lower.</source>
        <translation>Lass die Hand etwas tiefer ruhen.</translation>
    </message>
    <message>
        <source>Let the head hang until the back has come up; it comes last.</source>
        <translation>Lass den Kopf hängen, bis der Rücken oben ist; er kommt zuletzt.</translation>
    </message>
    <message>
        <source>Let the heel touch first, then roll down to the toes.</source>
        <translation>Lass zuerst die Ferse aufsetzen, dann roll ab zu den Zehen.</translation>
    </message>
    <message>
        <source>Let the heels rest on the floor; go only as far as they stay down.</source>
        <translation>Lass die Fersen am Boden ruhen; geh nur so weit, wie sie unten bleiben.</translation>
    </message>
    <message>
        <source>Let the knee give a little: never stand locked.</source>
        <translation>Lass das Knie ein wenig nachgeben: steh nie durchgedrückt.</translation>
    </message>
    <message>
        <source>Let the knee look where the toes look; open the hip a little.</source>
        <translation>Lass das Knie dorthin schauen, wohin die Zehen schauen; öffne die Hüfte ein wenig.</translation>
    </message>
    <message>
        <source>Let the knee open over the toes.</source>
        <translation>Lass das Knie sich über die Zehen öffnen.</translation>
    </message>
    <message>
        <source>Let the knee travel over its own toes; open the hip a little.</source>
        <translation>Lass das Knie über die eigenen Zehen wandern; öffne die Hüfte ein wenig.</translation>
    </message>
    <message>
        <source>Let the knees stay where they are while the waist turns; turn less far if they must follow.</source>
        <translation>Lass die Knie, wo sie sind, während die Taille dreht; dreh weniger weit, wenn sie mitgehen müssen.</translation>
    </message>
    <message>
        <source>Let the leading hand travel with the breastbone; it lags behind.</source>
        <translation>Lass die führende Hand mit dem Brustbein gehen; sie bleibt zurück.</translation>
    </message>
    <message>
        <source>Let the leading hand travel with the breastbone; it runs ahead.</source>
        <translation>Lass die führende Hand mit dem Brustbein gehen; sie eilt voraus.</translation>
    </message>
    <message>
        <source>Let the left foot carry as much as the right.</source>
        <translation>Lass den linken Fuß so viel tragen wie den rechten.</translation>
    </message>
    <message>
        <source>Let the left hip float up as high as the right.</source>
        <translation>Lass die linke Hüfte so hoch schweben wie die rechte.</translation>
    </message>
    <message>
        <source>Let the left shoulder sink as far as the right.</source>
        <translation>Lass die linke Schulter so tief sinken wie die rechte.</translation>
    </message>
    <message>
        <source>Let the left sitting bone carry as much as the right.</source>
        <translation>Lass den linken Sitzknochen so viel tragen wie den rechten.</translation>
    </message>
    <message>
        <source>Let the low back keep its own easy curve; do not tuck it under.</source>
        <translation>Lass dem unteren Rücken seinen eigenen leichten Bogen; zieh ihn nicht ein.</translation>
    </message>
    <message>
        <source>Let the movement begin, and let the breath come with it, no sooner.</source>
        <translation>Lass die Bewegung beginnen und den Atem mit ihr kommen, nicht früher.</translation>
    </message>
    <message>
        <source>Let the out-breath end where it is still easy.</source>
        <translation>Lass den Ausatem enden, wo er noch leicht ist.</translation>
    </message>
    <message>
        <source>Let the out-breath last at least as long as the in-breath.</source>
        <translation>Lass den Ausatem mindestens so lang sein wie den Einatem.</translation>
    </message>
    <message>
        <source>Let the right foot carry as much as the left.</source>
        <translation>Lass den rechten Fuß so viel tragen wie den linken.</translation>
    </message>
    <message>
        <source>Let the right hip float up as high as the left.</source>
        <translation>Lass die rechte Hüfte so hoch schweben wie die linke.</translation>
    </message>
    <message>
        <source>Let the right shoulder sink as far as the left.</source>
        <translation>Lass die rechte Schulter so tief sinken wie die linke.</translation>
    </message>
    <message>
        <source>Let the right sitting bone carry as much as the left.</source>
        <translation>Lass den rechten Sitzknochen so viel tragen wie den linken.</translation>
    </message>
    <message>
        <source>Let the roll begin low in the back and climb from there.</source>
        <translation>Lass das Rollen tief im Rücken beginnen und von dort steigen.</translation>
    </message>
    <message>
        <source>Let the shoulders hang, as after a sigh.</source>
        <translation>Lass die Schultern hängen, wie nach einem Seufzer.</translation>
    </message>
    <message>
        <source>Let the side that reaches further come back to the size of the smaller one.</source>
        <translation>Lass die Seite, die weiter reicht, auf das Maß der kleineren zurückgehen.</translation>
    </message>
    <message>
        <source>Let the standing knee give a little.</source>
        <translation>Lass das Standknie ein wenig nachgeben.</translation>
    </message>
    <message>
        <source>Let the swing find its own time, like a bell rope.</source>
        <translation>Lass das Schwingen seine eigene Zeit finden, wie ein Glockenseil.</translation>
    </message>
    <message>
        <source>Let the tail hang, so that the low back grows long instead of hollow.</source>
        <translation>Lass das Steißbein hängen, so dass der untere Rücken lang wird statt hohl.</translation>
    </message>
    <message>
        <source>Let the tail hang; bring the chest forward over the hips.</source>
        <translation>Lass das Steißbein hängen; bring die Brust nach vorn über die Hüften.</translation>
    </message>
    <message>
        <source>Let the upper back grow long instead of rounding it.</source>
        <translation>Lass den oberen Rücken lang werden, statt ihn zu runden.</translation>
    </message>
    <message>
        <source>Let the waist begin, and let it carry the hands.</source>
        <translation>Lass die Taille beginnen und die Hände tragen.</translation>
    </message>
    <message>
        <source>Let the weight come forward a little, over the middle of the feet.</source>
        <translation>Lass das Gewicht ein wenig nach vorn kommen, über die Mitte der Füße.</translation>
    </message>
    <message>
        <source>Let the weight sink back towards the heels.</source>
        <translation>Lass das Gewicht zurück zu den Fersen sinken.</translation>
    </message>
    <message>
        <source>Let the whole foot arrive first: heel, sole, toes. Then move the weight.</source>
        <translation>Lass zuerst den ganzen Fuß ankommen: Ferse, Sohle, Zehen. Dann beweg das Gewicht.</translation>
    </message>
    <message>
        <source>Lift the foot</source>
        <translation>Den Fuß heben</translation>
    </message>
    <message>
        <source>Low back</source>
        <translation>Unterer Rücken</translation>
    </message>
    <message>
        <source>Margin of balance</source>
        <translation>Spielraum des Gleichgewichts</translation>
    </message>
    <message>
        <source>Mark the points on the picture, or film in close clothes and mark the back.</source>
        <translation>Die Punkte im Bild setzen oder in enger Kleidung mit gezeichnetem Rücken filmen.</translation>
    </message>
    <message>
        <source>Middle height, upright</source>
        <translation>Mittlere Höhe, aufrecht</translation>
    </message>
    <message>
        <source>Move from one foot to the other in one unbroken pour, without a halt on the way.</source>
        <translation>Geh von einem Fuß zum anderen in einem einzigen Guss, ohne Halt unterwegs.</translation>
    </message>
    <message>
        <source>Neck after upper back</source>
        <translation>Nacken nach oberem Rücken</translation>
    </message>
    <message>
        <source>No knee is locked.</source>
        <translation>Kein Knie ist durchgedrückt.</translation>
    </message>
    <message>
        <source>No knee is twisted over a foot that stays.</source>
        <translation>Kein Knie wird über einem stehenden Fuß verdreht.</translation>
    </message>
    <message>
        <source>No locked knee</source>
        <translation>Kein durchgedrücktes Knie</translation>
    </message>
    <message>
        <source>No side bend and twist at once</source>
        <translation>Nicht zugleich seitneigen und drehen</translation>
    </message>
    <message>
        <source>No twist over a foot that is stuck</source>
        <translation>Keine Drehung über einem festsitzenden Fuß</translation>
    </message>
    <message>
        <source>Once the feet are set, leave them: let the floor hold them.</source>
        <translation>Stehen die Füße, lass sie stehen: der Boden hält sie.</translation>
    </message>
    <message>
        <source>One camera cannot tell this. Two views, or points in metres, can.</source>
        <translation>Eine Kamera allein zeigt das nicht. Zwei Ansichten oder Punkte in Metern zeigen es.</translation>
    </message>
    <message>
        <source>Open the toes of the back foot a little before you step.</source>
        <translation>Öffne die Zehen des hinteren Fußes ein wenig, bevor du trittst.</translation>
    </message>
    <message>
        <source>Out-breath to in-breath</source>
        <translation>Ausatem zu Einatem</translation>
    </message>
    <message>
        <source>Pace of the phase</source>
        <translation>Tempo der Phase</translation>
    </message>
    <message>
        <source>Palm facing</source>
        <translation>Richtung der Handfläche</translation>
    </message>
    <message>
        <source>Part the Horse&apos;s Mane</source>
        <translation>Die Mähne des Pferdes teilen</translation>
    </message>
    <message>
        <source>Part the hands</source>
        <translation>Die Hände teilen</translation>
    </message>
    <message>
        <source>Peaks of the shift</source>
        <translation>Spitzen der Verlagerung</translation>
    </message>
    <message>
        <source>Peel the foot off: heel first, then the toes, with nothing on it.</source>
        <translation>Schäl den Fuß ab: erst die Ferse, dann die Zehen, ganz leer.</translation>
    </message>
    <message>
        <source>Pelvis tilt</source>
        <translation>Beckenneigung</translation>
    </message>
    <message>
        <source>Pelvis turn</source>
        <translation>Beckendrehung</translation>
    </message>
    <message>
        <source>Pelvis turning speed</source>
        <translation>Drehtempo des Beckens</translation>
    </message>
    <message>
        <source>Place the foot beside</source>
        <translation>Den Fuß daneben stellen</translation>
    </message>
    <message>
        <source>Place the front foot on its own rail: leave about the width of your hips between the two feet.</source>
        <translation>Stell den vorderen Fuß auf seine eigene Schiene: lass etwa die Breite deiner Hüften zwischen beiden Füßen.</translation>
    </message>
    <message>
        <source>Planted feet stay where they are</source>
        <translation>Stehende Füße bleiben, wo sie sind</translation>
    </message>
    <message>
        <source>Plumb line, forward</source>
        <translation>Lot, nach vorn</translation>
    </message>
    <message>
        <source>Plumb line, sideways</source>
        <translation>Lot, seitlich</translation>
    </message>
    <message>
        <source>Pour all of you into the standing leg first; then the other foot is free to leave.</source>
        <translation>Gieß dich zuerst ganz ins Standbein; dann ist der andere Fuß frei zu gehen.</translation>
    </message>
    <message>
        <source>Pour the weight across</source>
        <translation>Das Gewicht hinübergießen</translation>
    </message>
    <message>
        <source>Pour the weight across until the other leg feels nearly empty, and then go on.</source>
        <translation>Gieß das Gewicht hinüber, bis das andere Bein sich fast leer anfühlt, und geh dann weiter.</translation>
    </message>
    <message>
        <source>Practise both sides alike often; the side with fewer repeats goes once more.</source>
        <translation>Übe beide Seiten gleich oft; die mit weniger Wiederholungen noch einmal.</translation>
    </message>
    <message>
        <source>Reach with the heel</source>
        <translation>Mit der Ferse reichen</translation>
    </message>
    <message>
        <source>Repeats left and right</source>
        <translation>Wiederholungen links und rechts</translation>
    </message>
    <message>
        <source>Rest rather than let the hands sink or climb.</source>
        <translation>Ruh lieber aus, als die Hände sinken oder steigen zu lassen.</translation>
    </message>
    <message>
        <source>Rest there</source>
        <translation>Dort ruhen</translation>
    </message>
    <message>
        <source>Return to the middle</source>
        <translation>Zur Mitte zurück</translation>
    </message>
    <message>
        <source>Rise from the crown, as if drawn up by a thread, with the chest over the hips.</source>
        <translation>Steig vom Scheitel her, wie am Faden gezogen, die Brust über den Hüften.</translation>
    </message>
    <message>
        <source>Rise only until the knees are long but still soft.</source>
        <translation>Steig nur, bis die Knie lang und noch weich sind.</translation>
    </message>
    <message>
        <source>Rise with crossed hands</source>
        <translation>Mit gekreuzten Händen steigen</translation>
    </message>
    <message>
        <source>Rolling passes through the back in the movement&apos;s order</source>
        <translation>Das Rollen geht in der Folge der Bewegung durch den Rücken</translation>
    </message>
    <message>
        <source>Seated: sitting bones even, feet flat</source>
        <translation>Im Sitzen: Sitzknochen gleich, Füße flach</translation>
    </message>
    <message>
        <source>Separate the Clouds</source>
        <translation>Die Wolken teilen</translation>
    </message>
    <message>
        <source>Set the feet a little further apart before you start.</source>
        <translation>Stell die Füße vor dem Beginn etwas weiter auseinander.</translation>
    </message>
    <message>
        <source>Set the foot flat</source>
        <translation>Den Fuß flach aufsetzen</translation>
    </message>
    <message>
        <source>Settle</source>
        <translation>Sich setzen</translation>
    </message>
    <message>
        <source>Share along the picture, unclamped</source>
        <translation>Anteil entlang des Bildes, unbegrenzt</translation>
    </message>
    <message>
        <source>Shift after foot-flat</source>
        <translation>Verlagerung nach flachem Fuß</translation>
    </message>
    <message>
        <source>Shift and part</source>
        <translation>Verlagern und teilen</translation>
    </message>
    <message>
        <source>Short steps and high stances belong to this school.</source>
        <translation>Kurze Schritte und hohe Stände gehören zu dieser Schule.</translation>
    </message>
    <message>
        <source>Shoulder gap</source>
        <translation>Schulterabstand</translation>
    </message>
    <message>
        <source>Shoulder tilt</source>
        <translation>Schulterneigung</translation>
    </message>
    <message>
        <source>Shoulder turn</source>
        <translation>Schulterdrehung</translation>
    </message>
    <message>
        <source>Side bend</source>
        <translation>Seitneigung</translation>
    </message>
    <message>
        <source>Side bend and twist are kept apart.</source>
        <translation>Seitneigung und Drehung bleiben getrennt.</translation>
    </message>
    <message>
        <source>Sideways wander of the knee</source>
        <translation>Seitliches Wandern des Knies</translation>
    </message>
    <message>
        <source>Sink a little deeper, as if sitting on the edge of a high stool.</source>
        <translation>Sink etwas tiefer, als säßest du auf der Kante eines hohen Hockers.</translation>
    </message>
    <message>
        <source>Sink a little less deep.</source>
        <translation>Sink etwas weniger tief.</translation>
    </message>
    <message>
        <source>Sink and open</source>
        <translation>Sinken und öffnen</translation>
    </message>
    <message>
        <source>Sink between the feet, so that the front shin stays upright and the knee stays behind the toes.</source>
        <translation>Sink zwischen die Füße, so dass das vordere Schienbein steht und das Knie hinter den Zehen bleibt.</translation>
    </message>
    <message>
        <source>Sink less; stop well before the thighs are level.</source>
        <translation>Sink weniger; hör auf, lange bevor die Oberschenkel waagrecht sind.</translation>
    </message>
    <message>
        <source>Sit back</source>
        <translation>Zurücksetzen</translation>
    </message>
    <message>
        <source>Sit straight down, as if sliding along a wall; let the crown stay over the heels.</source>
        <translation>Setz dich gerade nach unten, als glittest du an einer Wand; der Scheitel bleibt über den Fersen.</translation>
    </message>
    <message>
        <source>Soften the knees before you bend, and fold at the hip.</source>
        <translation>Mach die Knie weich, bevor du dich beugst, und falte in der Hüfte.</translation>
    </message>
    <message>
        <source>Stance length</source>
        <translation>Standlänge</translation>
    </message>
    <message>
        <source>Stance width</source>
        <translation>Standbreite</translation>
    </message>
    <message>
        <source>Stand a little taller on the standing leg while you step.</source>
        <translation>Steh beim Treten etwas höher auf dem Standbein.</translation>
    </message>
    <message>
        <source>Stand a little taller on the standing leg.</source>
        <translation>Steh etwas höher auf dem Standbein.</translation>
    </message>
    <message>
        <source>Stay a little higher; keep one height all the way, as under a low ceiling.</source>
        <translation>Bleib etwas höher; halte die ganze Zeit eine Höhe, wie unter einer niedrigen Decke.</translation>
    </message>
    <message>
        <source>Stay a little higher; the bend is deeper than the knee needs.</source>
        <translation>Bleib etwas höher; die Beugung ist tiefer, als das Knie braucht.</translation>
    </message>
    <message>
        <source>Stay a little lower; keep one height all the way, as under a low ceiling.</source>
        <translation>Bleib etwas tiefer; halte die ganze Zeit eine Höhe, wie unter einer niedrigen Decke.</translation>
    </message>
    <message>
        <source>Stay over your feet: make the movement smaller and keep the crown above the middle of the base.</source>
        <translation>Bleib über deinen Füßen: mach die Bewegung kleiner und halte den Scheitel über der Mitte der Standfläche.</translation>
    </message>
    <message>
        <source>Step a little further forward, so that the stance has room to sink.</source>
        <translation>Tritt etwas weiter nach vorn, damit der Stand Platz zum Sinken hat.</translation>
    </message>
    <message>
        <source>Step forward into a bow stance, part the hands, sit back and return; left and right in turn, on the spot.</source>
        <translation>Vorwärts in den Bogenstand treten, die Hände teilen, zurücksetzen und zurückkehren; links und rechts im Wechsel, am Platz.</translation>
    </message>
    <message>
        <source>Steps and facing go in the phase&apos;s own direction</source>
        <translation>Schritte und Blickrichtung gehen in die Richtung der Phase</translation>
    </message>
    <message>
        <source>Stop a little sooner and keep the back foot in the conversation.</source>
        <translation>Hör etwas früher auf und lass den hinteren Fuß im Gespräch.</translation>
    </message>
    <message>
        <source>Sway</source>
        <translation>Schwanken</translation>
    </message>
    <message>
        <source>Swings grow in, die away and keep their period</source>
        <translation>Schwünge wachsen, klingen aus und halten ihre Dauer</translation>
    </message>
    <message>
        <source>Take a shorter step; a step you can land without falling into it is long enough.</source>
        <translation>Mach einen kürzeren Schritt; ein Schritt, in den du nicht hineinfällst, ist lang genug.</translation>
    </message>
    <message>
        <source>Take twice as long over the shift; let it last a whole slow out-breath.</source>
        <translation>Nimm dir für die Verlagerung doppelt so lang; lass sie einen ganzen langsamen Ausatem dauern.</translation>
    </message>
    <message>
        <source>Tap the breath while watching the clip.</source>
        <translation>Beim Ansehen der Aufnahme den Atem tippen.</translation>
    </message>
    <message>
        <source>The arms lead as asked.</source>
        <translation>Die Arme führen wie verlangt.</translation>
    </message>
    <message>
        <source>The back foot is open as the stance asks.</source>
        <translation>Der hintere Fuß ist so offen, wie der Stand verlangt.</translation>
    </message>
    <message>
        <source>The back is as the school asks</source>
        <translation>Der Rücken ist, wie die Schule ihn will</translation>
    </message>
    <message>
        <source>The back leg is long but never locked.</source>
        <translation>Das hintere Bein ist lang, nie durchgedrückt.</translation>
    </message>
    <message>
        <source>The back stays easy and upright.</source>
        <translation>Der Rücken bleibt leicht und aufrecht.</translation>
    </message>
    <message>
        <source>The ball of the foot lands first.</source>
        <translation>Der Ballen setzt zuerst auf.</translation>
    </message>
    <message>
        <source>The body stays over its base.</source>
        <translation>Der Körper bleibt über seiner Standfläche.</translation>
    </message>
    <message>
        <source>The breath goes with the phase</source>
        <translation>Der Atem geht mit der Phase</translation>
    </message>
    <message>
        <source>The depth is within what the knees can carry.</source>
        <translation>Die Tiefe ist so, dass die Knie sie tragen.</translation>
    </message>
    <message>
        <source>The elbows are low, never locked</source>
        <translation>Die Ellbogen sind tief, nie durchgedrückt</translation>
    </message>
    <message>
        <source>The elbows hang.</source>
        <translation>Die Ellbogen hängen.</translation>
    </message>
    <message>
        <source>The elbows stay soft.</source>
        <translation>Die Ellbogen bleiben weich.</translation>
    </message>
    <message>
        <source>The feet point as the stance asks</source>
        <translation>Die Füße zeigen, wie der Stand verlangt</translation>
    </message>
    <message>
        <source>The feet point as the stance asks.</source>
        <translation>Die Füße zeigen, wie der Stand verlangt.</translation>
    </message>
    <message>
        <source>The feet stay where they are set.</source>
        <translation>Die Füße bleiben, wo sie stehen.</translation>
    </message>
    <message>
        <source>The feet turn only when they are light.</source>
        <translation>Die Füße drehen nur, wenn sie leicht sind.</translation>
    </message>
    <message>
        <source>The foot comes back to its place.</source>
        <translation>Der Fuß kommt auf seinen Platz zurück.</translation>
    </message>
    <message>
        <source>The forward stance has a good length.</source>
        <translation>Der Vorwärtsstand hat eine gute Länge.</translation>
    </message>
    <message>
        <source>The free side of the hips does not drop.</source>
        <translation>Die freie Hüftseite sinkt nicht ab.</translation>
    </message>
    <message>
        <source>The front foot points ahead.</source>
        <translation>Der vordere Fuß zeigt geradeaus.</translation>
    </message>
    <message>
        <source>The front knee stays behind the toes.</source>
        <translation>Das vordere Knie bleibt hinter den Zehen.</translation>
    </message>
    <message>
        <source>The front knee stays short of the toe tip</source>
        <translation>Das vordere Knie bleibt hinter der Zehenspitze</translation>
    </message>
    <message>
        <source>The front knee stays soft.</source>
        <translation>Das vordere Knie bleibt weich.</translation>
    </message>
    <message>
        <source>The gaze stays level.</source>
        <translation>Der Blick bleibt waagrecht.</translation>
    </message>
    <message>
        <source>The hand follows the breastbone.</source>
        <translation>Die Hand folgt dem Brustbein.</translation>
    </message>
    <message>
        <source>The hand that strikes goes with the foot the movement names</source>
        <translation>Die schlagende Hand geht mit dem Fuß, den die Bewegung nennt</translation>
    </message>
    <message>
        <source>The hands are at the height asked.</source>
        <translation>Die Hände sind in der verlangten Höhe.</translation>
    </message>
    <message>
        <source>The hands are where the movement asks</source>
        <translation>Die Hände sind, wo die Bewegung sie will</translation>
    </message>
    <message>
        <source>The hands keep their height.</source>
        <translation>Die Hände behalten ihre Höhe.</translation>
    </message>
    <message>
        <source>The hands keep their spacing on the tool.</source>
        <translation>Die Hände behalten ihren Abstand am Gerät.</translation>
    </message>
    <message>
        <source>The head comes last in the roll.</source>
        <translation>Der Kopf kommt beim Rollen zuletzt.</translation>
    </message>
    <message>
        <source>The head floats over the shoulders.</source>
        <translation>Der Kopf schwebt über den Schultern.</translation>
    </message>
    <message>
        <source>The head goes with the leaning trunk.</source>
        <translation>Der Kopf geht mit dem geneigten Rumpf.</translation>
    </message>
    <message>
        <source>The head is not tilted.</source>
        <translation>Der Kopf ist nicht geneigt.</translation>
    </message>
    <message>
        <source>The head is over the shoulders</source>
        <translation>Der Kopf ist über den Schultern</translation>
    </message>
    <message>
        <source>The head tips to your left: let the right ear come down as far.</source>
        <translation>Der Kopf kippt nach links: lass das rechte Ohr ebenso weit sinken.</translation>
    </message>
    <message>
        <source>The head tips to your right: let the left ear come down as far.</source>
        <translation>Der Kopf kippt nach rechts: lass das linke Ohr ebenso weit sinken.</translation>
    </message>
    <message>
        <source>The heel lands first.</source>
        <translation>Die Ferse setzt zuerst auf.</translation>
    </message>
    <message>
        <source>The heels stay on the floor.</source>
        <translation>Die Fersen bleiben am Boden.</translation>
    </message>
    <message>
        <source>The height is held.</source>
        <translation>Die Höhe wird gehalten.</translation>
    </message>
    <message>
        <source>The height is kept.</source>
        <translation>Die Höhe bleibt.</translation>
    </message>
    <message>
        <source>The hips stay level</source>
        <translation>Die Hüften bleiben waagrecht</translation>
    </message>
    <message>
        <source>The hips stay level.</source>
        <translation>Die Hüften bleiben waagrecht.</translation>
    </message>
    <message>
        <source>The hips stay quiet while a foot is in the air.</source>
        <translation>Die Hüften bleiben ruhig, während ein Fuß in der Luft ist.</translation>
    </message>
    <message>
        <source>The knee bends no deeper than it can carry</source>
        <translation>Das Knie beugt nicht tiefer, als es trägt</translation>
    </message>
    <message>
        <source>The knees are soft in the bend.</source>
        <translation>Die Knie sind in der Beuge weich.</translation>
    </message>
    <message>
        <source>The knees follow the toes</source>
        <translation>Die Knie folgen den Zehen</translation>
    </message>
    <message>
        <source>The knees follow the toes.</source>
        <translation>Die Knie folgen den Zehen.</translation>
    </message>
    <message>
        <source>The knees hold still while the waist turns.</source>
        <translation>Die Knie halten still, während die Taille dreht.</translation>
    </message>
    <message>
        <source>The knees hold their line while the waist turns</source>
        <translation>Die Knie halten ihre Linie, während die Taille dreht</translation>
    </message>
    <message>
        <source>The knees open as the stance asks.</source>
        <translation>Die Knie öffnen sich, wie der Stand verlangt.</translation>
    </message>
    <message>
        <source>The knees stay as far apart as the feet ask.</source>
        <translation>Die Knie bleiben so weit auseinander, wie die Füße verlangen.</translation>
    </message>
    <message>
        <source>The knees stay on the line of their toes.</source>
        <translation>Die Knie bleiben auf der Linie ihrer Zehen.</translation>
    </message>
    <message>
        <source>The knees stay soft.</source>
        <translation>Die Knie bleiben weich.</translation>
    </message>
    <message>
        <source>The leaving foot peels off heel first.</source>
        <translation>Der gehende Fuß schält sich mit der Ferse zuerst ab.</translation>
    </message>
    <message>
        <source>The low back stays long.</source>
        <translation>Der untere Rücken bleibt lang.</translation>
    </message>
    <message>
        <source>The named driver moves first</source>
        <translation>Was führen soll, bewegt sich zuerst</translation>
    </message>
    <message>
        <source>The out-breath is at least as long as the in-breath</source>
        <translation>Der Ausatem ist mindestens so lang wie der Einatem</translation>
    </message>
    <message>
        <source>The out-breath is long and easy.</source>
        <translation>Der Ausatem ist lang und leicht.</translation>
    </message>
    <message>
        <source>The pace is even</source>
        <translation>Das Tempo ist gleichmäßig</translation>
    </message>
    <message>
        <source>The palm faces as asked.</source>
        <translation>Die Handfläche zeigt wie verlangt.</translation>
    </message>
    <message>
        <source>The pelvis is quiet while a foot is off the floor</source>
        <translation>Das Becken ist ruhig, während ein Fuß in der Luft ist</translation>
    </message>
    <message>
        <source>The repetitions keep one pace.</source>
        <translation>Die Wiederholungen halten ein Tempo.</translation>
    </message>
    <message>
        <source>The roll passes through the back in order.</source>
        <translation>Das Rollen geht der Reihe nach durch den Rücken.</translation>
    </message>
    <message>
        <source>The shift begins from the feet.</source>
        <translation>Die Verlagerung beginnt in den Füßen.</translation>
    </message>
    <message>
        <source>The shift is one even movement</source>
        <translation>Die Verlagerung ist eine gleichmäßige Bewegung</translation>
    </message>
    <message>
        <source>The shift keeps pace with the rest.</source>
        <translation>Die Verlagerung hält mit dem Rest Schritt.</translation>
    </message>
    <message>
        <source>The shift runs in one piece.</source>
        <translation>Die Verlagerung läuft in einem Stück.</translation>
    </message>
    <message>
        <source>The shift takes its time.</source>
        <translation>Die Verlagerung nimmt sich Zeit.</translation>
    </message>
    <message>
        <source>The shoulders are down and level</source>
        <translation>Die Schultern sind unten und waagrecht</translation>
    </message>
    <message>
        <source>The shoulders hang.</source>
        <translation>Die Schultern hängen.</translation>
    </message>
    <message>
        <source>The shoulders stay level.</source>
        <translation>Die Schultern bleiben waagrecht.</translation>
    </message>
    <message>
        <source>The sink has a good depth.</source>
        <translation>Das Sinken hat eine gute Tiefe.</translation>
    </message>
    <message>
        <source>The stance has the width it asks for.</source>
        <translation>Der Stand hat die Breite, die er verlangt.</translation>
    </message>
    <message>
        <source>The stance holds.</source>
        <translation>Der Stand hält.</translation>
    </message>
    <message>
        <source>The stance is as wide and as long as its name asks</source>
        <translation>Der Stand ist so breit und so lang, wie sein Name sagt</translation>
    </message>
    <message>
        <source>The standing leg is soft, neither locked nor sagging</source>
        <translation>Das Standbein ist weich, weder durchgedrückt noch eingesunken</translation>
    </message>
    <message>
        <source>The standing leg stays soft.</source>
        <translation>Das Standbein bleibt weich.</translation>
    </message>
    <message>
        <source>The stepping foot lands empty</source>
        <translation>Der tretende Fuß setzt leer auf</translation>
    </message>
    <message>
        <source>The stepping foot lands empty.</source>
        <translation>Der tretende Fuß setzt leer auf.</translation>
    </message>
    <message>
        <source>The steps keep their direction.</source>
        <translation>Die Schritte behalten ihre Richtung.</translation>
    </message>
    <message>
        <source>The swing keeps its own time.</source>
        <translation>Das Schwingen hält seine eigene Zeit.</translation>
    </message>
    <message>
        <source>The tool keeps its place</source>
        <translation>Das Gerät behält seinen Platz</translation>
    </message>
    <message>
        <source>The transfer is complete before the other foot leaves</source>
        <translation>Die Verlagerung ist vollendet, bevor der andere Fuß geht</translation>
    </message>
    <message>
        <source>The transfer starts after full contact</source>
        <translation>Die Verlagerung beginnt nach vollem Kontakt</translation>
    </message>
    <message>
        <source>The trunk does not tip sideways.</source>
        <translation>Der Rumpf kippt nicht zur Seite.</translation>
    </message>
    <message>
        <source>The trunk holds its line.</source>
        <translation>Der Rumpf hält seine Linie.</translation>
    </message>
    <message>
        <source>The trunk is upright, or leans as the school asks</source>
        <translation>Der Rumpf ist aufrecht oder geneigt, wie die Schule es will</translation>
    </message>
    <message>
        <source>The trunk leans in one line with the back leg.</source>
        <translation>Der Rumpf neigt sich in einer Linie mit dem hinteren Bein.</translation>
    </message>
    <message>
        <source>The two feet keep a clear channel between them.</source>
        <translation>Zwischen beiden Füßen bleibt eine klare Gasse.</translation>
    </message>
    <message>
        <source>The upper back stays easy.</source>
        <translation>Der obere Rücken bleibt leicht.</translation>
    </message>
    <message>
        <source>The waist leads and the hands follow.</source>
        <translation>Die Taille führt, die Hände folgen.</translation>
    </message>
    <message>
        <source>The weight arrives on the front foot.</source>
        <translation>Das Gewicht kommt auf dem vorderen Fuß an.</translation>
    </message>
    <message>
        <source>The weight has arrived before the foot leaves.</source>
        <translation>Das Gewicht ist angekommen, bevor der Fuß geht.</translation>
    </message>
    <message>
        <source>The weight is shared as the hold asks</source>
        <translation>Das Gewicht ist verteilt, wie das Halten es verlangt</translation>
    </message>
    <message>
        <source>The weight keeps its share.</source>
        <translation>Das Gewicht behält seine Verteilung.</translation>
    </message>
    <message>
        <source>The weight really arrives on one side.</source>
        <translation>Das Gewicht kommt wirklich auf einer Seite an.</translation>
    </message>
    <message>
        <source>The weight rests well over the feet.</source>
        <translation>Das Gewicht ruht gut über den Füßen.</translation>
    </message>
    <message>
        <source>The weight stays even on both feet.</source>
        <translation>Das Gewicht bleibt auf beiden Füßen gleich.</translation>
    </message>
    <message>
        <source>The weight waits until the foot is flat.</source>
        <translation>Das Gewicht wartet, bis der Fuß flach ist.</translation>
    </message>
    <message>
        <source>There is air under the arms.</source>
        <translation>Unter den Armen ist Luft.</translation>
    </message>
    <message>
        <source>There is space between upper arm and trunk</source>
        <translation>Zwischen Oberarm und Rumpf ist Raum</translation>
    </message>
    <message>
        <source>Thigh to horizontal</source>
        <translation>Oberschenkel zur Waagrechten</translation>
    </message>
    <message>
        <source>Toe after heel</source>
        <translation>Zehen nach Ferse</translation>
    </message>
    <message>
        <source>Toe leaving after heel</source>
        <translation>Zehen lösen sich nach Ferse</translation>
    </message>
    <message>
        <source>Toe-out</source>
        <translation>Fußöffnung</translation>
    </message>
    <message>
        <source>Toe-out difference</source>
        <translation>Unterschied der Fußöffnung</translation>
    </message>
    <message>
        <source>Turn and lift the hands</source>
        <translation>Drehen und die Hände heben</translation>
    </message>
    <message>
        <source>Turn first, then step: let the hips rest while one foot is off the ground.</source>
        <translation>Erst drehen, dann treten: lass die Hüften ruhen, während ein Fuß in der Luft ist.</translation>
    </message>
    <message>
        <source>Turn from the waist down: let the hips carry the shoulders.</source>
        <translation>Dreh von der Taille abwärts: die Hüften tragen die Schultern.</translation>
    </message>
    <message>
        <source>Turn gap</source>
        <translation>Unterschied der Drehung</translation>
    </message>
    <message>
        <source>Turn no further than the loaded foot lets you: empty the leg by shifting or rising first, then turn.</source>
        <translation>Dreh nicht weiter, als der belastete Fuß erlaubt: leere das Bein erst durch Verlagern oder Steigen, dann dreh.</translation>
    </message>
    <message>
        <source>Turn the palm down a little more.</source>
        <translation>Dreh die Handfläche etwas mehr nach unten.</translation>
    </message>
    <message>
        <source>Turn the palm up a little more.</source>
        <translation>Dreh die Handfläche etwas mehr nach oben.</translation>
    </message>
    <message>
        <source>Turn the toes in a little; a small opening is enough.</source>
        <translation>Dreh die Zehen etwas nach innen; eine kleine Öffnung genügt.</translation>
    </message>
    <message>
        <source>Turn the toes out a little, so that they look where the knees go.</source>
        <translation>Dreh die Zehen etwas nach außen, damit sie dorthin schauen, wohin die Knie gehen.</translation>
    </message>
    <message>
        <source>Turning speed of the foot</source>
        <translation>Drehtempo des Fußes</translation>
    </message>
    <message>
        <source>Twist</source>
        <translation>Verdrehung</translation>
    </message>
    <message>
        <source>Unwind</source>
        <translation>Zurückdrehen</translation>
    </message>
    <message>
        <source>Upper back</source>
        <translation>Oberer Rücken</translation>
    </message>
    <message>
        <source>Upper back after low back</source>
        <translation>Oberer nach unterem Rücken</translation>
    </message>
    <message>
        <source>Waist after feet</source>
        <translation>Taille nach Füßen</translation>
    </message>
    <message>
        <source>Waist after hand</source>
        <translation>Taille nach Hand</translation>
    </message>
    <message>
        <source>Weight at landing</source>
        <translation>Gewicht beim Aufsetzen</translation>
    </message>
    <message>
        <source>Weight before the other foot leaves</source>
        <translation>Gewicht, bevor der andere Fuß geht</translation>
    </message>
    <message>
        <source>Weight on the foot</source>
        <translation>Gewicht auf dem Fuß</translation>
    </message>
    <message>
        <source>Weight on the front foot</source>
        <translation>Gewicht auf dem vorderen Fuß</translation>
    </message>
    <message>
        <source>Weight on the heel</source>
        <translation>Gewicht auf der Ferse</translation>
    </message>
    <message>
        <source>Weight on the leading foot</source>
        <translation>Gewicht auf dem führenden Fuß</translation>
    </message>
    <message>
        <source>Weight on the left foot</source>
        <translation>Gewicht auf dem linken Fuß</translation>
    </message>
    <message>
        <source>Weight on the left foot, unclamped</source>
        <translation>Gewicht auf dem linken Fuß, unbegrenzt</translation>
    </message>
    <message>
        <source>You tip to your left: let the right side ease and grow tall from the crown.</source>
        <translation>Du kippst nach links: lass die rechte Seite los und werde lang vom Scheitel her.</translation>
    </message>
    <message>
        <source>You tip to your right: let the left side ease and grow tall from the crown.</source>
        <translation>Du kippst nach rechts: lass die linke Seite los und werde lang vom Scheitel her.</translation>
    </message>
    <message>
        <source>Your left foot turns out more: set it like the right.</source>
        <translation>Dein linker Fuß zeigt weiter nach außen: stell ihn wie den rechten.</translation>
    </message>
    <message>
        <source>Your right foot turns out more: set it like the left.</source>
        <translation>Dein rechter Fuß zeigt weiter nach außen: stell ihn wie den linken.</translation>
    </message>
    <message>
        <source>angle between upper arm and trunk</source>
        <translation>Winkel zwischen Oberarm und Rumpf</translation>
    </message>
    <message>
        <source>any</source>
        <translation>jede Ansicht</translation>
    </message>
    <message>
        <source>as its parts</source>
        <translation>wie seine Teile</translation>
    </message>
    <message>
        <source>as weight</source>
        <translation>wie das Gewicht</translation>
    </message>
    <message>
        <source>as weight and contact</source>
        <translation>wie Gewicht und Kontakt</translation>
    </message>
    <message>
        <source>as weight.left</source>
        <translation>wie das Gewicht links</translation>
    </message>
    <message>
        <source>as weight.left and weight.front</source>
        <translation>wie das Gewicht links und vorn</translation>
    </message>
    <message>
        <source>as weight.left before clamping</source>
        <translation>wie das Gewicht links, vor dem Begrenzen</translation>
    </message>
    <message>
        <source>bend</source>
        <translation>beugen</translation>
    </message>
    <message>
        <source>body centre on the line from ball to heel of the foot; 1 is over the heel</source>
        <translation>Körpermitte auf der Linie vom Ballen zur Ferse; 1 ist über der Ferse</translation>
    </message>
    <message>
        <source>bow</source>
        <translation>Bogenstand</translation>
    </message>
    <message>
        <source>change of the hollow of the low back against own neutral, from marked points</source>
        <translation>Änderung der Höhlung des unteren Rückens gegen das eigene Stehen, aus gesetzten Punkten</translation>
    </message>
    <message>
        <source>change of the rounding of the upper back against own neutral, from marked points</source>
        <translation>Änderung der Rundung des oberen Rückens gegen das eigene Stehen, aus gesetzten Punkten</translation>
    </message>
    <message>
        <source>close</source>
        <translation>schließen</translation>
    </message>
    <message>
        <source>difference of the number of repetitions, left and right</source>
        <translation>Unterschied der Zahl der Wiederholungen, links und rechts</translation>
    </message>
    <message>
        <source>difference of the ranges of the leading hand, left and right, in percent of the larger</source>
        <translation>Unterschied der Reichweiten der führenden Hand, links und rechts, in Prozent der größeren</translation>
    </message>
    <message>
        <source>direction ankle to knee in plan against heel to toe; inwards positive</source>
        <translation>Richtung Knöchel-Knie im Grundriss gegen Ferse-Zehen; nach innen positiv</translation>
    </message>
    <message>
        <source>direction from heel to toe against the facing direction, in plan; out positive</source>
        <translation>Richtung Ferse-Zehen gegen die Blickrichtung, im Grundriss; nach außen positiv</translation>
    </message>
    <message>
        <source>distance of the ankle joint centres along the forward axis, in own shoulder widths</source>
        <translation>Abstand der Knöchelmitten entlang der Vorwärtsachse, in eigenen Schulterbreiten</translation>
    </message>
    <message>
        <source>distance of the ankle joint centres along the phase&apos;s sideways axis, in own shoulder widths</source>
        <translation>Abstand der Knöchelmitten entlang der Seitachse der Phase, in eigenen Schulterbreiten</translation>
    </message>
    <message>
        <source>distance of the extrapolated body centre to the nearest edge of the outline of the feet on the ground, in half widths; inside positive</source>
        <translation>Abstand der vorausgedachten Körpermitte zum nächsten Rand des Umrisses der stehenden Füße, in halben Breiten; innen positiv</translation>
    </message>
    <message>
        <source>distance of the knees to the distance of the ankles, sideways</source>
        <translation>Abstand der Knie zum Abstand der Knöchel, seitlich</translation>
    </message>
    <message>
        <source>distance of the standing foot from where it stood before the last step out, in foot lengths</source>
        <translation>Abstand des stehenden Fußes von seinem Platz vor dem letzten Schritt, in Fußlängen</translation>
    </message>
    <message>
        <source>distance of the wrist from the breastbone line, outwards positive</source>
        <translation>Abstand des Handgelenks von der Brustbeinlinie, nach außen positiv</translation>
    </message>
    <message>
        <source>duration of an out-breath over that of the in-breath before it</source>
        <translation>Dauer des Ausatems durch die des Einatems davor</translation>
    </message>
    <message>
        <source>duration of the phase against the reference, in that of the whole repetition; 1 keeps pace with the rest</source>
        <translation>Dauer der Phase gegen die Referenz, im Verhältnis zur ganzen Wiederholung; 1 hält Schritt</translation>
    </message>
    <message>
        <source>ears over the floor, in their neutral value</source>
        <translation>Ohren über dem Boden, im Maß des ruhigen Stehens</translation>
    </message>
    <message>
        <source>empty</source>
        <translation>leerer Stand</translation>
    </message>
    <message>
        <source>flat, heel, toe or off, from the height of heel and toe over the floor and their speed</source>
        <translation>flach, Ferse, Zehen oder in der Luft, aus Höhe und Tempo von Ferse und Zehen</translation>
    </message>
    <message>
        <source>front, back with the feet 0.25 m apart, 3d</source>
        <translation>von vorn und hinten mit 0,25 m zwischen den Füßen, 3D</translation>
    </message>
    <message>
        <source>front, back, 3d</source>
        <translation>von vorn, hinten, 3D</translation>
    </message>
    <message>
        <source>front, back, 3d, floor plan</source>
        <translation>von vorn, hinten, 3D, Grundriss</translation>
    </message>
    <message>
        <source>frontal-plane deviation of the knee from the line hip-ankle towards the other leg</source>
        <translation>Abweichung des Knies von der Linie Hüfte-Knöchel zum anderen Bein hin, von vorn gesehen</translation>
    </message>
    <message>
        <source>gather</source>
        <translation>sammeln</translation>
    </message>
    <message>
        <source>heel over the floor</source>
        <translation>Ferse über dem Boden</translation>
    </message>
    <message>
        <source>height of the elbow under the line from shoulder to wrist; under it positive</source>
        <translation>Höhe des Ellbogens unter der Linie von Schulter zu Handgelenk; darunter positiv</translation>
    </message>
    <message>
        <source>hip</source>
        <translation>hüftbreiter Stand</translation>
    </message>
    <message>
        <source>hold</source>
        <translation>halten</translation>
    </message>
    <message>
        <source>horse</source>
        <translation>Reiterstand</translation>
    </message>
    <message>
        <source>knee ahead of the toe tip along the toe line; past is positive</source>
        <translation>Knie vor der Zehenspitze entlang der Zehenlinie; davor ist positiv</translation>
    </message>
    <message>
        <source>kneel</source>
        <translation>knien</translation>
    </message>
    <message>
        <source>land</source>
        <translation>aufsetzen</translation>
    </message>
    <message>
        <source>left, right, 3d</source>
        <translation>von der Seite, 3D</translation>
    </message>
    <message>
        <source>left, right, 3d, floor plan</source>
        <translation>von der Seite, 3D, Grundriss</translation>
    </message>
    <message>
        <source>left, right, 3d; front, back estimated</source>
        <translation>von der Seite, 3D; von vorn und hinten geschätzt</translation>
    </message>
    <message>
        <source>lift</source>
        <translation>heben</translation>
    </message>
    <message>
        <source>line from ear to nose against its neutral; up positive</source>
        <translation>Linie Ohr-Nase gegen das ruhige Stehen; nach oben positiv</translation>
    </message>
    <message>
        <source>line of the ears against horizontal minus the tilt of the shoulders; to own left positive</source>
        <translation>Ohrenlinie gegen die Waagrechte minus Schulterneigung; nach eigener linker Seite positiv</translation>
    </message>
    <message>
        <source>line of the hips against horizontal; left up positive</source>
        <translation>Hüftlinie gegen die Waagrechte; links oben positiv</translation>
    </message>
    <message>
        <source>line of the shoulders against horizontal; left up positive</source>
        <translation>Schulterlinie gegen die Waagrechte; links oben positiv</translation>
    </message>
    <message>
        <source>longest time within the shift at less than a tenth of its peak speed</source>
        <translation>längste Zeit in der Verlagerung unter einem Zehntel ihres Höchsttempos</translation>
    </message>
    <message>
        <source>marks tapped by a person</source>
        <translation>von Hand getippte Marken</translation>
    </message>
    <message>
        <source>middle of the ears ahead of the middle of the shoulders, minus neutral</source>
        <translation>Ohrenmitte vor der Schultermitte, minus ruhiges Stehen</translation>
    </message>
    <message>
        <source>middle of the ears over the centre of the base, forward positive</source>
        <translation>Ohrenmitte über der Mitte der Standfläche, nach vorn positiv</translation>
    </message>
    <message>
        <source>middle of the ears over the centre of the base, to own left positive</source>
        <translation>Ohrenmitte über der Mitte der Standfläche, nach eigener linker Seite positiv</translation>
    </message>
    <message>
        <source>middle of the hips over the floor, in its neutral value; 1 is standing</source>
        <translation>Hüftmitte über dem Boden, im Maß des ruhigen Stehens; 1 ist Stehen</translation>
    </message>
    <message>
        <source>middle of the hips to middle of the shoulders against vertical in the frontal plane; to own left positive</source>
        <translation>Hüftmitte zu Schultermitte gegen die Senkrechte, von vorn gesehen; nach eigener linker Seite positiv</translation>
    </message>
    <message>
        <source>middle of the hips to middle of the shoulders against vertical in the sagittal plane; forward positive</source>
        <translation>Hüftmitte zu Schultermitte gegen die Senkrechte, von der Seite gesehen; nach vorn positiv</translation>
    </message>
    <message>
        <source>narrow</source>
        <translation>enger Stand</translation>
    </message>
    <message>
        <source>one_leg</source>
        <translation>auf einem Bein</translation>
    </message>
    <message>
        <source>onset of the leading hand minus that of the pelvis</source>
        <translation>Beginn der führenden Hand minus den des Beckens</translation>
    </message>
    <message>
        <source>onset of the neck&apos;s roll minus that of the upper back</source>
        <translation>Beginn des Nackenrollens minus den des oberen Rückens</translation>
    </message>
    <message>
        <source>onset of the pelvis turn minus that of the leading hand</source>
        <translation>Beginn der Beckendrehung minus den der führenden Hand</translation>
    </message>
    <message>
        <source>onset of the pelvis turn minus that of the shift</source>
        <translation>Beginn der Beckendrehung minus den der Verlagerung</translation>
    </message>
    <message>
        <source>onset of the shift minus the time the foot was flat; positive is good</source>
        <translation>Beginn der Verlagerung minus die Zeit, zu der der Fuß flach war; positiv ist gut</translation>
    </message>
    <message>
        <source>onset of the upper back&apos;s roll minus that of the low back</source>
        <translation>Beginn des Rollens im oberen Rücken minus den im unteren</translation>
    </message>
    <message>
        <source>open</source>
        <translation>öffnen</translation>
    </message>
    <message>
        <source>path of the body centre a second, over two seconds of quiet standing</source>
        <translation>Weg der Körpermitte in der Sekunde, über zwei Sekunden ruhigen Stehens</translation>
    </message>
    <message>
        <source>pivot</source>
        <translation>drehen am Platz</translation>
    </message>
    <message>
        <source>projection of the body centre between the feet along the seen axis, share on the left foot</source>
        <translation>Körpermitte zwischen den Füßen entlang der gesehenen Achse, Anteil des linken Fußes</translation>
    </message>
    <message>
        <source>prominent peaks of speed within a shift</source>
        <translation>deutliche Tempospitzen in einer Verlagerung</translation>
    </message>
    <message>
        <source>qigong</source>
        <translation>Qigong</translation>
    </message>
    <message>
        <source>reach</source>
        <translation>reichen</translation>
    </message>
    <message>
        <source>return</source>
        <translation>zurückkehren</translation>
    </message>
    <message>
        <source>rise</source>
        <translation>steigen</translation>
    </message>
    <message>
        <source>roll</source>
        <translation>rollen</translation>
    </message>
    <message>
        <source>seated</source>
        <translation>im Sitzen</translation>
    </message>
    <message>
        <source>settle</source>
        <translation>sich setzen</translation>
    </message>
    <message>
        <source>share of weight on that foot, along whichever direction the view shows</source>
        <translation>Gewichtsanteil dieses Fußes, in der Richtung, die die Ansicht zeigt</translation>
    </message>
    <message>
        <source>share of weight on the foot that leads the repetition</source>
        <translation>Gewichtsanteil des führenden Fußes</translation>
    </message>
    <message>
        <source>share of weight on the front foot along the line between back and front foot</source>
        <translation>Gewichtsanteil des vorderen Fußes auf der Linie zwischen hinterem und vorderem</translation>
    </message>
    <message>
        <source>share of weight on the left foot: the body centre projected between the feet, corrected for its acceleration</source>
        <translation>Gewichtsanteil des linken Fußes: die Körpermitte zwischen den Füßen, um ihre Beschleunigung berichtigt</translation>
    </message>
    <message>
        <source>share of weight on the standing foot a tenth of a second before the other leaves</source>
        <translation>Gewichtsanteil des Standfußes eine Zehntelsekunde, bevor der andere geht</translation>
    </message>
    <message>
        <source>share of weight on the stepping foot at the moment it is flat</source>
        <translation>Gewichtsanteil des tretenden Fußes in dem Augenblick, in dem er flach ist</translation>
    </message>
    <message>
        <source>shoulder</source>
        <translation>schulterbreiter Stand</translation>
    </message>
    <message>
        <source>shoulder turn minus pelvis turn</source>
        <translation>Schulterdrehung minus Beckendrehung</translation>
    </message>
    <message>
        <source>shoulder turn minus pelvis turn, read together with the side bend</source>
        <translation>Schulterdrehung minus Beckendrehung, mit der Seitneigung zusammen gelesen</translation>
    </message>
    <message>
        <source>side, with marked points</source>
        <translation>von der Seite, mit gesetzten Punkten</translation>
    </message>
    <message>
        <source>sideways way of the knee since the foot was set down</source>
        <translation>seitlicher Weg des Knies, seit der Fuß steht</translation>
    </message>
    <message>
        <source>sink</source>
        <translation>sinken</translation>
    </message>
    <message>
        <source>slope of the line from wrist to knuckles: 90 points up</source>
        <translation>Neigung der Linie vom Handgelenk zu den Knöcheln: 90 zeigt nach oben</translation>
    </message>
    <message>
        <source>slope of the palm&apos;s normal: 90 faces up, -90 down</source>
        <translation>Neigung der Handflächennormalen: 90 zeigt nach oben, -90 nach unten</translation>
    </message>
    <message>
        <source>slope of the thigh; 0 is level</source>
        <translation>Neigung des Oberschenkels; 0 ist waagrecht</translation>
    </message>
    <message>
        <source>speed at which the foot turns on the floor</source>
        <translation>Tempo, mit dem der Fuß am Boden dreht</translation>
    </message>
    <message>
        <source>speed of the pelvis turn</source>
        <translation>Tempo der Beckendrehung</translation>
    </message>
    <message>
        <source>spread of the times at which hand, pelvis and weight come to rest</source>
        <translation>Spanne der Zeiten, zu denen Hand, Becken und Gewicht zur Ruhe kommen</translation>
    </message>
    <message>
        <source>stand</source>
        <translation>stehen</translation>
    </message>
    <message>
        <source>strike</source>
        <translation>schlagen</translation>
    </message>
    <message>
        <source>swing</source>
        <translation>schwingen</translation>
    </message>
    <message>
        <source>tai chi</source>
        <translation>Taiji</translation>
    </message>
    <message>
        <source>the way the student faces, from the start; to own left positive; frozen while the feet stay planted</source>
        <translation>wohin der Körper gewandt ist, vom Anfang an; nach eigener linker Seite positiv; bleibt, solange die Füße stehen</translation>
    </message>
    <message>
        <source>time from 10 % to 90 % of the transfer</source>
        <translation>Zeit von 10 % bis 90 % der Verlagerung</translation>
    </message>
    <message>
        <source>time the toe leaves minus the time the heel does</source>
        <translation>Zeit, zu der die Zehen sich lösen, minus die der Ferse</translation>
    </message>
    <message>
        <source>time the toe touches minus the time the heel does</source>
        <translation>Zeit, zu der die Zehen aufsetzen, minus die der Ferse</translation>
    </message>
    <message>
        <source>toe-out of the left foot minus that of the right</source>
        <translation>Fußöffnung links minus rechts</translation>
    </message>
    <message>
        <source>together</source>
        <translation>geschlossener Stand</translation>
    </message>
    <message>
        <source>transfer</source>
        <translation>verlagern</translation>
    </message>
    <message>
        <source>turn</source>
        <translation>drehen</translation>
    </message>
    <message>
        <source>turn of the head about the vertical, to own left positive</source>
        <translation>Drehung des Kopfes um die Senkrechte, nach eigener linker Seite positiv</translation>
    </message>
    <message>
        <source>turn of the line of the hips about the vertical, to own left positive</source>
        <translation>Drehung der Hüftlinie um die Senkrechte, nach eigener linker Seite positiv</translation>
    </message>
    <message>
        <source>turn of the line of the shoulders about the vertical, to own left positive</source>
        <translation>Drehung der Schulterlinie um die Senkrechte, nach eigener linker Seite positiv</translation>
    </message>
    <message>
        <source>unweight</source>
        <translation>leeren</translation>
    </message>
    <message>
        <source>variation of the duration of the swing</source>
        <translation>Schwankung der Dauer des Schwungs</translation>
    </message>
    <message>
        <source>variation of the repetitions&apos; durations</source>
        <translation>Schwankung der Dauer der Wiederholungen</translation>
    </message>
    <message>
        <source>vertical gap between ear and shoulder, in its neutral value</source>
        <translation>senkrechter Abstand zwischen Ohr und Schulter, im Maß des ruhigen Stehens</translation>
    </message>
    <message>
        <source>way of the foot centre since it was set down, in foot lengths</source>
        <translation>Weg der Fußmitte, seit der Fuß steht, in Fußlängen</translation>
    </message>
    <message>
        <source>wide</source>
        <translation>weiter Stand</translation>
    </message>
    <message>
        <source>wrist ahead of the middle of the shoulders</source>
        <translation>Handgelenk vor der Schultermitte</translation>
    </message>
    <message>
        <source>wrist over the floor, in body heights</source>
        <translation>Handgelenk über dem Boden, in Körpergrößen</translation>
    </message>
    <message>
        <source>A ball between the palms that fills and empties.</source>
        <translation>Ein Ball zwischen den Handflächen, der sich füllt und leert.</translation>
    </message>
    <message>
        <source>A book that opens and closes at its spine.</source>
        <translation>Ein Buch, das sich am Rücken öffnet und schließt.</translation>
    </message>
    <message>
        <source>A bow that bends without breaking.</source>
        <translation>Ein Bogen, der sich biegt, ohne zu brechen.</translation>
    </message>
    <message>
        <source>A chair before you, fingertips on its back: shift only as far as it stays easy.</source>
        <translation>Ein Stuhl vor dir, Fingerspitzen auf der Lehne: verlagere nur so weit, wie es leicht bleibt.</translation>
    </message>
    <message>
        <source>A crane that has all the time in the world.</source>
        <translation>Ein Kranich, der alle Zeit der Welt hat.</translation>
    </message>
    <message>
        <source>A drawer that slides out and in.</source>
        <translation>Eine Schublade, die hinaus- und hineingleitet.</translation>
    </message>
    <message>
        <source>A hand on the wall at hip height, bend towards it and come back.</source>
        <translation>Eine Hand auf Hüfthöhe an der Wand, beug dich zu ihr und komm zurück.</translation>
    </message>
    <message>
        <source>A hand&apos;s width</source>
        <translation>Eine Handbreit</translation>
    </message>
    <message>
        <source>A lighthouse that turns its lamp.</source>
        <translation>Ein Leuchtturm, der sein Licht dreht.</translation>
    </message>
    <message>
        <source>A thread at the crown that is lifted and let go.</source>
        <translation>Ein Faden am Scheitel, der gehoben und losgelassen wird.</translation>
    </message>
    <message>
        <source>A tree between the arms, as wide as you like it.</source>
        <translation>Ein Baum zwischen den Armen, so dick, wie es dir gefällt.</translation>
    </message>
    <message>
        <source>A young bamboo in the wind.</source>
        <translation>Ein junger Bambus im Wind.</translation>
    </message>
    <message>
        <source>Arm Swing from the Waist</source>
        <translation>Armschwung aus der Taille</translation>
    </message>
    <message>
        <source>Arms only</source>
        <translation>Nur die Arme</translation>
    </message>
    <message>
        <source>Arms while standing</source>
        <translation>Arme im Stehen</translation>
    </message>
    <message>
        <source>Back along a wall</source>
        <translation>Rücken an der Wand</translation>
    </message>
    <message>
        <source>Bend from the Hips</source>
        <translation>Beugen aus der Hüfte</translation>
    </message>
    <message>
        <source>Between sky and earth, a hand for each.</source>
        <translation>Zwischen Himmel und Erde, für jedes eine Hand.</translation>
    </message>
    <message>
        <source>Both feet stay heavy.</source>
        <translation>Beide Füße bleiben schwer.</translation>
    </message>
    <message>
        <source>Both heels rise together, pause at the top, and come down softly or with a small drop.</source>
        <translation>Beide Fersen heben sich gemeinsam, verweilen oben und kommen sanft oder mit einem kleinen Fall herab.</translation>
    </message>
    <message>
        <source>Both palms press as if through water.</source>
        <translation>Beide Handflächen drücken wie durch Wasser.</translation>
    </message>
    <message>
        <source>Bring it back</source>
        <translation>Zurückholen</translation>
    </message>
    <message>
        <source>Brush the Knee and Push</source>
        <translation>Knie streifen und schieben</translation>
    </message>
    <message>
        <source>Brush the reeds aside, and lay a hand on the door.</source>
        <translation>Streif das Schilf zur Seite und leg eine Hand an die Tür.</translation>
    </message>
    <message>
        <source>Carry the arms up</source>
        <translation>Die Arme hinauftragen</translation>
    </message>
    <message>
        <source>Carry the hands up</source>
        <translation>Die Hände hinauftragen</translation>
    </message>
    <message>
        <source>Circle and Tap</source>
        <translation>Kreisen und tippen</translation>
    </message>
    <message>
        <source>Circle forward</source>
        <translation>Nach vorn kreisen</translation>
    </message>
    <message>
        <source>Circle out</source>
        <translation>Nach außen kreisen</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>Come back to standing</source>
        <translation>In den Stand zurückkommen</translation>
    </message>
    <message>
        <source>Come back to the front</source>
        <translation>Nach vorn zurückkommen</translation>
    </message>
    <message>
        <source>Come back to the middle</source>
        <translation>In die Mitte zurückkommen</translation>
    </message>
    <message>
        <source>Come back together</source>
        <translation>Wieder zusammenkommen</translation>
    </message>
    <message>
        <source>Come back up</source>
        <translation>Wieder aufrichten</translation>
    </message>
    <message>
        <source>Come down</source>
        <translation>Herabkommen</translation>
    </message>
    <message>
        <source>Come up long</source>
        <translation>Lang aufrichten</translation>
    </message>
    <message>
        <source>Crown and heels draw apart.</source>
        <translation>Scheitel und Fersen streben auseinander.</translation>
    </message>
    <message>
        <source>Draw a circle in the sand.</source>
        <translation>Zeichne einen Kreis in den Sand.</translation>
    </message>
    <message>
        <source>Draw it back</source>
        <translation>Zurückziehen</translation>
    </message>
    <message>
        <source>Draw the Bow</source>
        <translation>Den Bogen spannen</translation>
    </message>
    <message>
        <source>Draw the bow</source>
        <translation>Den Bogen spannen</translation>
    </message>
    <message>
        <source>Embrace the Post</source>
        <translation>Die Säule umarmen</translation>
    </message>
    <message>
        <source>Empty foot</source>
        <translation>Leerer Fuß</translation>
    </message>
    <message>
        <source>Empty the foot, then lift it.</source>
        <translation>Leere den Fuß, dann heb ihn.</translation>
    </message>
    <message>
        <source>Empty the one leg before the other is full.</source>
        <translation>Leere das eine Bein, bevor das andere voll ist.</translation>
    </message>
    <message>
        <source>Eyes only</source>
        <translation>Nur die Augen</translation>
    </message>
    <message>
        <source>Feet flat, the waist turns from side to side and the arms swing along, loose as cords.</source>
        <translation>Die Füße flach, die Taille dreht von Seite zu Seite, und die Arme schwingen mit, locker wie Schnüre.</translation>
    </message>
    <message>
        <source>Feet shoulder-wide and knees only soft.</source>
        <translation>Füße schulterbreit und die Knie nur weich.</translation>
    </message>
    <message>
        <source>Feet under the shoulders. The wrists float up to the height of the shoulders and sink again, and the knees give way under them.</source>
        <translation>Füße unter den Schultern. Die Handgelenke schweben auf Schulterhöhe und sinken wieder, und die Knie geben darunter nach.</translation>
    </message>
    <message>
        <source>Fingertips of both hands on the back of a chair.</source>
        <translation>Fingerspitzen beider Hände auf einer Stuhllehne.</translation>
    </message>
    <message>
        <source>Fingertips of one hand on the back of a chair.</source>
        <translation>Fingerspitzen einer Hand auf einer Stuhllehne.</translation>
    </message>
    <message>
        <source>Fingertips on a chair</source>
        <translation>Fingerspitzen am Stuhl</translation>
    </message>
    <message>
        <source>Flat foot</source>
        <translation>Flacher Fuß</translation>
    </message>
    <message>
        <source>Float down</source>
        <translation>Herabschweben</translation>
    </message>
    <message>
        <source>Fold at hips and knees, scoop with both arms from below and rise with the hands to the heart.</source>
        <translation>Beuge Hüften und Knie, schöpfe mit beiden Armen von unten und steige mit den Händen zum Herzen.</translation>
    </message>
    <message>
        <source>Fold at the hips</source>
        <translation>In der Hüfte beugen</translation>
    </message>
    <message>
        <source>Fold at the hips, the back stays long.</source>
        <translation>Beuge in der Hüfte, der Rücken bleibt lang.</translation>
    </message>
    <message>
        <source>Grow long between heel and crown; the ribs stay soft.</source>
        <translation>Werde lang zwischen Ferse und Scheitel; die Rippen bleiben weich.</translation>
    </message>
    <message>
        <source>Grow up first, then over.</source>
        <translation>Wachse erst nach oben, dann hinüber.</translation>
    </message>
    <message>
        <source>Half the way down and half the way up; nothing is forced.</source>
        <translation>Den halben Weg hinab und den halben hinauf; nichts wird erzwungen.</translation>
    </message>
    <message>
        <source>Hand on the wall</source>
        <translation>Hand an der Wand</translation>
    </message>
    <message>
        <source>Hands at the belly</source>
        <translation>Hände am Bauch</translation>
    </message>
    <message>
        <source>Hands on a chair</source>
        <translation>Hände am Stuhl</translation>
    </message>
    <message>
        <source>Hands on a table</source>
        <translation>Hände auf dem Tisch</translation>
    </message>
    <message>
        <source>Hands on a table, walk back until the back is long and flat.</source>
        <translation>Hände auf dem Tisch, geh zurück, bis der Rücken lang und flach ist.</translation>
    </message>
    <message>
        <source>Hands on the hips, turn from side to side with quiet knees.</source>
        <translation>Hände an den Hüften, dreh von Seite zu Seite mit ruhigen Knien.</translation>
    </message>
    <message>
        <source>Hands on the hips: reach, set, shift, sit back, return.</source>
        <translation>Hände an den Hüften: reichen, setzen, verlagern, zurücksitzen, heimkehren.</translation>
    </message>
    <message>
        <source>Hands on the thighs: sink and rise four times, as slowly as one breath.</source>
        <translation>Hände auf den Oberschenkeln: sinke und steige viermal, so langsam wie ein Atemzug.</translation>
    </message>
    <message>
        <source>Hands that rise on water and let themselves down with it.</source>
        <translation>Hände, die auf Wasser steigen und sich mit ihm senken.</translation>
    </message>
    <message>
        <source>Heels Up, Heels Down</source>
        <translation>Fersen auf, Fersen ab</translation>
    </message>
    <message>
        <source>Heels a hand from the wall: raise the arms and keep the low back where it is.</source>
        <translation>Fersen eine Handbreit von der Wand: heb die Arme und lass den unteren Rücken, wo er ist.</translation>
    </message>
    <message>
        <source>Here the waist turns over a pelvis that stays.</source>
        <translation>Hier dreht die Taille über einem ruhenden Becken.</translation>
    </message>
    <message>
        <source>High stance</source>
        <translation>Hoher Stand</translation>
    </message>
    <message>
        <source>Hips and shoulders travel together.</source>
        <translation>Hüften und Schultern wandern gemeinsam.</translation>
    </message>
    <message>
        <source>Hold the stance for three breaths, hands on the ribs.</source>
        <translation>Halte den Stand für drei Atemzüge, die Hände an den Rippen.</translation>
    </message>
    <message>
        <source>Hold up the sky like a light cloth.</source>
        <translation>Halte den Himmel wie ein leichtes Tuch.</translation>
    </message>
    <message>
        <source>Hold with one arm for two breaths, then with the other.</source>
        <translation>Halte mit einem Arm für zwei Atemzüge, dann mit dem anderen.</translation>
    </message>
    <message>
        <source>Horse Stance with Fists</source>
        <translation>Reiterstand mit Fäusten</translation>
    </message>
    <message>
        <source>In a bend the head hangs in line with the back.</source>
        <translation>In der Beuge hängt der Kopf in der Linie des Rückens.</translation>
    </message>
    <message>
        <source>In a heel raise the legs may be nearly straight.</source>
        <translation>Beim Heben der Fersen dürfen die Beine fast gestreckt sein.</translation>
    </message>
    <message>
        <source>In a horse stance one fist travels forward from the ribs and is drawn back; then the other.</source>
        <translation>Im Reiterstand wandert eine Faust von den Rippen nach vorn und wird zurückgezogen; dann die andere.</translation>
    </message>
    <message>
        <source>In a horse stance the arms cross before the chest; one hand reaches far to its side as the other draws back to the shoulder, and the eyes follow the arrow.</source>
        <translation>Im Reiterstand kreuzen die Arme vor der Brust; eine Hand reicht weit zur Seite, die andere zieht zur Schulter zurück, und die Augen folgen dem Pfeil.</translation>
    </message>
    <message>
        <source>In a wide easy stance the weight pours from the middle to one foot and back, sinking on the way and rising over the foot.</source>
        <translation>Im weiten, leichten Stand fließt das Gewicht von der Mitte auf einen Fuß und zurück, unterwegs sinkend und über dem Fuß steigend.</translation>
    </message>
    <message>
        <source>Knees alone</source>
        <translation>Nur die Knie</translation>
    </message>
    <message>
        <source>Lean long to the side</source>
        <translation>Lang zur Seite neigen</translation>
    </message>
    <message>
        <source>Let go and rise</source>
        <translation>Loslassen und steigen</translation>
    </message>
    <message>
        <source>Let the arm float down</source>
        <translation>Den Arm herabschweben lassen</translation>
    </message>
    <message>
        <source>Let the wrists float up</source>
        <translation>Die Handgelenke aufschweben lassen</translation>
    </message>
    <message>
        <source>Let them down</source>
        <translation>Senken</translation>
    </message>
    <message>
        <source>Lift the knee</source>
        <translation>Das Knie heben</translation>
    </message>
    <message>
        <source>Lift the shoulders, let them drop, and only then let the hands open.</source>
        <translation>Heb die Schultern, lass sie fallen, und erst dann lass die Hände aufgehen.</translation>
    </message>
    <message>
        <source>Look Behind</source>
        <translation>Zurückblicken</translation>
    </message>
    <message>
        <source>Look after the hands without dropping the head back.</source>
        <translation>Blick den Händen nach, ohne den Kopf in den Nacken zu legen.</translation>
    </message>
    <message>
        <source>Nothing is held that does not have to be.</source>
        <translation>Nichts wird gehalten, was nicht muss.</translation>
    </message>
    <message>
        <source>On a chair, where the pelvis cannot go along.</source>
        <translation>Auf einem Stuhl, wo das Becken nicht mitgehen kann.</translation>
    </message>
    <message>
        <source>On one leg the other foot draws a small circle forward and out, taps the floor with its toe and comes back.</source>
        <translation>Auf einem Bein zeichnet der andere Fuß einen kleinen Kreis nach vorn und außen, tippt mit den Zehen auf und kommt zurück.</translation>
    </message>
    <message>
        <source>On the front of a chair, feet flat and hip-wide: only the arms and the breath.</source>
        <translation>Vorn auf einem Stuhl, Füße flach und hüftbreit: nur die Arme und der Atem.</translation>
    </message>
    <message>
        <source>One Palm Up, One Palm Down</source>
        <translation>Eine Hand hoch, eine Hand tief</translation>
    </message>
    <message>
        <source>One arm at a time</source>
        <translation>Ein Arm nach dem anderen</translation>
    </message>
    <message>
        <source>One arm down</source>
        <translation>Ein Arm unten</translation>
    </message>
    <message>
        <source>One arm floats up beside the ear and the body leans long to the other side, over both feet, and comes back to the middle.</source>
        <translation>Ein Arm schwebt neben das Ohr, und der Körper neigt sich lang zur anderen Seite, über beiden Füßen, und kommt zur Mitte zurück.</translation>
    </message>
    <message>
        <source>One arm is overhead.</source>
        <translation>Ein Arm ist über dem Kopf.</translation>
    </message>
    <message>
        <source>One matchbox</source>
        <translation>Eine Streichholzschachtel</translation>
    </message>
    <message>
        <source>One palm presses up overhead while the other presses down beside the hip; they pass each other before the chest and change over.</source>
        <translation>Eine Handfläche drückt über dem Kopf nach oben, die andere neben der Hüfte nach unten; vor der Brust gehen sie aneinander vorbei und wechseln.</translation>
    </message>
    <message>
        <source>One wing up, one wing down.</source>
        <translation>Ein Flügel oben, ein Flügel unten.</translation>
    </message>
    <message>
        <source>One-Leg Stand</source>
        <translation>Einbeinstand</translation>
    </message>
    <message>
        <source>Open</source>
        <translation>Öffnen</translation>
    </message>
    <message>
        <source>Open and Close the Hands</source>
        <translation>Die Hände öffnen und schließen</translation>
    </message>
    <message>
        <source>Open to the sides</source>
        <translation>Zu den Seiten öffnen</translation>
    </message>
    <message>
        <source>Opening: Rise and Sink</source>
        <translation>Anfang: Steigen und Sinken</translation>
    </message>
    <message>
        <source>Overhead Side Bend</source>
        <translation>Seitneigen mit Arm über dem Kopf</translation>
    </message>
    <message>
        <source>Palms facing each other before the chest, the hands draw apart to the width of the shoulders and beyond, and come together again.</source>
        <translation>Die Handflächen einander zugewandt vor der Brust, ziehen die Hände schulterbreit und weiter auseinander und kommen wieder zusammen.</translation>
    </message>
    <message>
        <source>Palms to the Sky</source>
        <translation>Handflächen zum Himmel</translation>
    </message>
    <message>
        <source>Pass before the chest</source>
        <translation>Vor der Brust vorbei</translation>
    </message>
    <message>
        <source>Pause at the top</source>
        <translation>Oben verweilen</translation>
    </message>
    <message>
        <source>Place it beside</source>
        <translation>Daneben setzen</translation>
    </message>
    <message>
        <source>Pour it out</source>
        <translation>Ausgießen</translation>
    </message>
    <message>
        <source>Pour the weight back</source>
        <translation>Das Gewicht zurückfließen lassen</translation>
    </message>
    <message>
        <source>Press up</source>
        <translation>Nach oben drücken</translation>
    </message>
    <message>
        <source>Press up and down</source>
        <translation>Nach oben und unten drücken</translation>
    </message>
    <message>
        <source>Raise and lower one arm only, and watch that the trunk does not lean.</source>
        <translation>Heb und senk nur einen Arm und achte darauf, dass der Rumpf nicht neigt.</translation>
    </message>
    <message>
        <source>Raise the arm</source>
        <translation>Den Arm heben</translation>
    </message>
    <message>
        <source>Raise the heels</source>
        <translation>Die Fersen heben</translation>
    </message>
    <message>
        <source>Raise the heels as high as a matchbox, pause for one breath, lower.</source>
        <translation>Heb die Fersen so hoch wie eine Streichholzschachtel, verweile einen Atemzug, senke.</translation>
    </message>
    <message>
        <source>Rest in the draw</source>
        <translation>Im Spannen verweilen</translation>
    </message>
    <message>
        <source>Rest over the foot</source>
        <translation>Über dem Fuß verweilen</translation>
    </message>
    <message>
        <source>Rise straight up, over the balls of the feet.</source>
        <translation>Steig gerade nach oben, über die Fußballen.</translation>
    </message>
    <message>
        <source>Rise with full hands</source>
        <translation>Mit vollen Händen steigen</translation>
    </message>
    <message>
        <source>Scoop</source>
        <translation>Schöpfen</translation>
    </message>
    <message>
        <source>Scoop water and lift it without spilling.</source>
        <translation>Schöpfe Wasser und heb es, ohne zu verschütten.</translation>
    </message>
    <message>
        <source>Seated</source>
        <translation>Sitzend</translation>
    </message>
    <message>
        <source>Send the fist forward</source>
        <translation>Die Faust nach vorn schicken</translation>
    </message>
    <message>
        <source>Set it down beside</source>
        <translation>Daneben absetzen</translation>
    </message>
    <message>
        <source>Set the foot down</source>
        <translation>Den Fuß absetzen</translation>
    </message>
    <message>
        <source>Set the toe ahead</source>
        <translation>Die Zehen vorn aufsetzen</translation>
    </message>
    <message>
        <source>Set the toe ahead and lift it again without the body moving.</source>
        <translation>Setz die Zehen vorn auf und heb sie wieder, ohne dass der Körper sich bewegt.</translation>
    </message>
    <message>
        <source>Shift, brush and push</source>
        <translation>Verlagern, streifen und schieben</translation>
    </message>
    <message>
        <source>Shoulders down first</source>
        <translation>Erst die Schultern senken</translation>
    </message>
    <message>
        <source>Side Shift with Rise and Sink</source>
        <translation>Seitwärts verlagern mit Steigen und Sinken</translation>
    </message>
    <message>
        <source>Sink a little, carry the arms as if round a tree before the chest, stay for some breaths and let them down again.</source>
        <translation>Sink ein wenig, trag die Arme wie um einen Baum vor die Brust, bleib einige Atemzüge und senk sie wieder.</translation>
    </message>
    <message>
        <source>Sink against a wall</source>
        <translation>An der Wand sinken</translation>
    </message>
    <message>
        <source>Sink and Scoop</source>
        <translation>Sinken und schöpfen</translation>
    </message>
    <message>
        <source>Sink and cross</source>
        <translation>Sinken und kreuzen</translation>
    </message>
    <message>
        <source>Sink and press down</source>
        <translation>Sinken und nach unten drücken</translation>
    </message>
    <message>
        <source>Sink first, then draw.</source>
        <translation>Sink erst, dann spann.</translation>
    </message>
    <message>
        <source>Sink no more than the width of a hand.</source>
        <translation>Sink nicht mehr als eine Handbreit.</translation>
    </message>
    <message>
        <source>Sit back as if onto a stool.</source>
        <translation>Setz dich zurück wie auf einen Hocker.</translation>
    </message>
    <message>
        <source>Sit down and back</source>
        <translation>Nach unten und hinten sitzen</translation>
    </message>
    <message>
        <source>Sit down on a high stool and stand up again without swinging.</source>
        <translation>Setz dich auf einen hohen Hocker und steh ohne Schwung wieder auf.</translation>
    </message>
    <message>
        <source>Sit onto one foot, set the other down ahead on its toe, empty, and let one hand rise beside the brow while the other sinks beside the hip.</source>
        <translation>Sitz auf einen Fuß, setz den anderen vorn leer auf die Zehen und lass eine Hand neben die Stirn steigen, während die andere neben die Hüfte sinkt.</translation>
    </message>
    <message>
        <source>Sit, do not lean back.</source>
        <translation>Sitz, lehn dich nicht zurück.</translation>
    </message>
    <message>
        <source>Sitting back, the trunk comes forward.</source>
        <translation>Beim Zurücksitzen kommt der Rumpf nach vorn.</translation>
    </message>
    <message>
        <source>Slide down a wall as far as the knees like, hold three breaths, slide up.</source>
        <translation>Gleite an einer Wand hinab, so weit es den Knien gefällt, halte drei Atemzüge, gleite hinauf.</translation>
    </message>
    <message>
        <source>Slide the toe</source>
        <translation>Die Zehen gleiten lassen</translation>
    </message>
    <message>
        <source>Small</source>
        <translation>Klein</translation>
    </message>
    <message>
        <source>Soft knees all the way.</source>
        <translation>Weiche Knie auf dem ganzen Weg.</translation>
    </message>
    <message>
        <source>Spread the wings</source>
        <translation>Die Flügel ausbreiten</translation>
    </message>
    <message>
        <source>Stand still and learn the way of the hands first.</source>
        <translation>Steh still und lern zuerst den Weg der Hände.</translation>
    </message>
    <message>
        <source>Stand there</source>
        <translation>Dort stehen</translation>
    </message>
    <message>
        <source>Stand without fists</source>
        <translation>Stehen ohne Fäuste</translation>
    </message>
    <message>
        <source>Standing upright the shoulders turn a little and the eyes travel far round to the back; the pelvis stays where it is.</source>
        <translation>Aufrecht stehend drehen die Schultern ein wenig, und die Augen wandern weit nach hinten; das Becken bleibt, wo es ist.</translation>
    </message>
    <message>
        <source>Stay</source>
        <translation>Bleiben</translation>
    </message>
    <message>
        <source>Step added</source>
        <translation>Mit Schritt</translation>
    </message>
    <message>
        <source>Step into a bow stance; the hand on that side brushes past the knee and the other pushes forward from the ear; sit back and return.</source>
        <translation>Schritt in den Bogenstand; die Hand dieser Seite streift am Knie vorbei, die andere schiebt vom Ohr nach vorn; zurücksitzen und heimkehren.</translation>
    </message>
    <message>
        <source>Step without arms</source>
        <translation>Schritt ohne Arme</translation>
    </message>
    <message>
        <source>Swing back to the front</source>
        <translation>Nach vorn zurückschwingen</translation>
    </message>
    <message>
        <source>Tap with the toe</source>
        <translation>Mit den Zehen tippen</translation>
    </message>
    <message>
        <source>The breastbone widens and softens with the hands.</source>
        <translation>Das Brustbein wird mit den Händen weit und weich.</translation>
    </message>
    <message>
        <source>The circle is as small as the balance is.</source>
        <translation>Der Kreis ist so klein wie das Gleichgewicht.</translation>
    </message>
    <message>
        <source>The drum with two cords.</source>
        <translation>Die Trommel mit zwei Schnüren.</translation>
    </message>
    <message>
        <source>The elbow brushes the ribs.</source>
        <translation>Der Ellbogen streift die Rippen.</translation>
    </message>
    <message>
        <source>The elbows hang, the armpits have room.</source>
        <translation>Die Ellbogen hängen, die Achseln haben Raum.</translation>
    </message>
    <message>
        <source>The eyes go first, the head follows.</source>
        <translation>Die Augen gehen voran, der Kopf folgt.</translation>
    </message>
    <message>
        <source>The eyes travel, the head stays.</source>
        <translation>Die Augen wandern, der Kopf bleibt.</translation>
    </message>
    <message>
        <source>The foot only taps there and carries nothing.</source>
        <translation>Der Fuß tippt dort nur und trägt nichts.</translation>
    </message>
    <message>
        <source>The front foot carries nothing.</source>
        <translation>Der vordere Fuß trägt nichts.</translation>
    </message>
    <message>
        <source>The front foot rests flat, still without weight.</source>
        <translation>Der vordere Fuß ruht flach, noch ohne Gewicht.</translation>
    </message>
    <message>
        <source>The gaze goes with the bend.</source>
        <translation>Der Blick geht mit der Beuge.</translation>
    </message>
    <message>
        <source>The hands go no higher than the brow.</source>
        <translation>Die Hände gehen nicht höher als die Stirn.</translation>
    </message>
    <message>
        <source>The hands hold a ball before the belly instead.</source>
        <translation>Die Hände halten stattdessen einen Ball vor dem Bauch.</translation>
    </message>
    <message>
        <source>The hands rise before the body, turn over at the brow and press up overhead; then they open and float down at the sides.</source>
        <translation>Die Hände steigen vor dem Körper, wenden sich an der Stirn und drücken über dem Kopf nach oben; dann öffnen sie sich und schweben seitlich herab.</translation>
    </message>
    <message>
        <source>The hands slide down the thighs, the trunk folds forward at the hips over soft knees and comes up again, long.</source>
        <translation>Die Hände gleiten die Oberschenkel hinab, der Rumpf beugt sich in der Hüfte über weichen Knien nach vorn und kommt lang wieder hoch.</translation>
    </message>
    <message>
        <source>The heels are lifted on purpose.</source>
        <translation>Die Fersen werden mit Absicht gehoben.</translation>
    </message>
    <message>
        <source>The heels rise no higher than a matchbox.</source>
        <translation>Die Fersen steigen nicht höher als eine Streichholzschachtel.</translation>
    </message>
    <message>
        <source>The hips go back and down in the bend.</source>
        <translation>Die Hüften gehen in der Beuge zurück und hinab.</translation>
    </message>
    <message>
        <source>The knee that is lifted carries nothing and may bend.</source>
        <translation>Das gehobene Knie trägt nichts und darf beugen.</translation>
    </message>
    <message>
        <source>The knee that is lifted carries nothing.</source>
        <translation>Das gehobene Knie trägt nichts.</translation>
    </message>
    <message>
        <source>The knees give way as the hands sink.</source>
        <translation>Die Knie geben nach, wenn die Hände sinken.</translation>
    </message>
    <message>
        <source>The knees stay over the toes.</source>
        <translation>Die Knie bleiben über den Zehen.</translation>
    </message>
    <message>
        <source>The knees stay soft when the heels come down.</source>
        <translation>Die Knie bleiben weich, wenn die Fersen herabkommen.</translation>
    </message>
    <message>
        <source>The movement is a bend forward.</source>
        <translation>Die Bewegung ist eine Vorbeuge.</translation>
    </message>
    <message>
        <source>The movement is a side bend.</source>
        <translation>Die Bewegung ist eine Seitneige.</translation>
    </message>
    <message>
        <source>The pelvis stays, the waist turns.</source>
        <translation>Das Becken bleibt, die Taille dreht.</translation>
    </message>
    <message>
        <source>The pushing hand arrives with the weight.</source>
        <translation>Die schiebende Hand kommt mit dem Gewicht an.</translation>
    </message>
    <message>
        <source>The shoulders stay down.</source>
        <translation>Die Schultern bleiben unten.</translation>
    </message>
    <message>
        <source>The stance does not move with the fist.</source>
        <translation>Der Stand bewegt sich nicht mit der Faust.</translation>
    </message>
    <message>
        <source>The standing knee stays soft.</source>
        <translation>Das Standknie bleibt weich.</translation>
    </message>
    <message>
        <source>The step is empty until it is flat.</source>
        <translation>Der Schritt ist leer, bis der Fuß flach ist.</translation>
    </message>
    <message>
        <source>The step with the hands on the hips, then both together.</source>
        <translation>Der Schritt mit den Händen an den Hüften, dann beides zusammen.</translation>
    </message>
    <message>
        <source>The striking arm may be nearly long.</source>
        <translation>Der stoßende Arm darf fast gestreckt sein.</translation>
    </message>
    <message>
        <source>The tap carries nothing.</source>
        <translation>Das Tippen trägt nichts.</translation>
    </message>
    <message>
        <source>The toe of the light foot keeps touching the floor.</source>
        <translation>Die Zehen des leichten Fußes berühren weiter den Boden.</translation>
    </message>
    <message>
        <source>The toe of the light foot stays on the floor; then it hovers for one breath.</source>
        <translation>Die Zehen des leichten Fußes bleiben am Boden; dann schweben sie einen Atemzug lang.</translation>
    </message>
    <message>
        <source>The toe slides its circle on the floor.</source>
        <translation>Die Zehen gleiten ihren Kreis auf dem Boden.</translation>
    </message>
    <message>
        <source>The trunk stays upright over both feet.</source>
        <translation>Der Rumpf bleibt aufrecht über beiden Füßen.</translation>
    </message>
    <message>
        <source>The upper hand stops at the brow.</source>
        <translation>Die obere Hand bleibt an der Stirn.</translation>
    </message>
    <message>
        <source>The waist turns, the arms only follow.</source>
        <translation>Die Taille dreht, die Arme folgen nur.</translation>
    </message>
    <message>
        <source>The way of the hands in a quiet stand, in time with the breath.</source>
        <translation>Der Weg der Hände im ruhigen Stand, im Takt des Atems.</translation>
    </message>
    <message>
        <source>The weight pours onto one foot, the other knee rises with the hand above it, rests and comes down to where it was.</source>
        <translation>Das Gewicht fließt auf einen Fuß, das andere Knie steigt mit der Hand darüber, verweilt und kommt dorthin herab, wo es war.</translation>
    </message>
    <message>
        <source>The wrists lead, the elbows hang.</source>
        <translation>Die Handgelenke führen, die Ellbogen hängen.</translation>
    </message>
    <message>
        <source>To a stool</source>
        <translation>Auf einen Hocker</translation>
    </message>
    <message>
        <source>To the brow</source>
        <translation>Bis zur Stirn</translation>
    </message>
    <message>
        <source>Toe on the floor</source>
        <translation>Zehen am Boden</translation>
    </message>
    <message>
        <source>Toe stays down</source>
        <translation>Zehen bleiben unten</translation>
    </message>
    <message>
        <source>Turn and gather at the ear</source>
        <translation>Drehen und am Ohr sammeln</translation>
    </message>
    <message>
        <source>Turn and let swing</source>
        <translation>Drehen und schwingen lassen</translation>
    </message>
    <message>
        <source>Turn and look</source>
        <translation>Drehen und blicken</translation>
    </message>
    <message>
        <source>Turn while seated</source>
        <translation>Im Sitzen drehen</translation>
    </message>
    <message>
        <source>Waist alone</source>
        <translation>Nur die Taille</translation>
    </message>
    <message>
        <source>Water that runs from one bowl to the other.</source>
        <translation>Wasser, das von einer Schale in die andere läuft.</translation>
    </message>
    <message>
        <source>White Crane Spreads Its Wings</source>
        <translation>Der weiße Kranich breitet die Flügel aus</translation>
    </message>
    <message>
        <source>With a chair</source>
        <translation>Mit Stuhl</translation>
    </message>
    <message>
        <source>balance</source>
        <translation>Gleichgewicht</translation>
    </message>
    <message>
        <source>breath</source>
        <translation>Atem</translation>
    </message>
    <message>
        <source>legs</source>
        <translation>Beine</translation>
    </message>
    <message>
        <source>shoulders</source>
        <translation>Schultern</translation>
    </message>
    <message>
        <source>spine</source>
        <translation>Wirbelsäule</translation>
    </message>
    <message>
        <source>standing</source>
        <translation>Stehen</translation>
    </message>
    <message>
        <source>waist</source>
        <translation>Taille</translation>
    </message>
    <message>
        <source>waist and spine</source>
        <translation>Taille und Wirbelsäule</translation>
    </message>
    <message>
        <source>Between two raises one may stand as long as one likes.</source>
        <translation>Zwischen zweimal Heben darf man stehen, so lange man mag.</translation>
    </message>
    <message>
        <source>The eyes go with the hands.</source>
        <translation>Die Augen gehen mit den Händen.</translation>
    </message>
    <message>
        <source>The foot taps with its toe and leaves again.</source>
        <translation>Der Fuß tippt mit den Zehen und geht wieder.</translation>
    </message>
    <message>
        <source>A boat at its rope.</source>
        <translation>Ein Boot an seinem Seil.</translation>
    </message>
    <message>
        <source>A chair at the side, two fingers on its back, until it is not needed.</source>
        <translation>Ein Stuhl an der Seite, zwei Finger auf der Lehne, bis er nicht mehr nötig ist.</translation>
    </message>
    <message>
        <source>A chair in front, two fingers on its back.</source>
        <translation>Ein Stuhl davor, zwei Finger auf der Lehne.</translation>
    </message>
    <message>
        <source>A child that is led by the hand.</source>
        <translation>Ein Kind, das an der Hand geführt wird.</translation>
    </message>
    <message>
        <source>A door and its post in one.</source>
        <translation>Eine Tür und ihr Pfosten in einem.</translation>
    </message>
    <message>
        <source>A gate that swings on its post.</source>
        <translation>Ein Tor, das an seinem Pfosten schwingt.</translation>
    </message>
    <message>
        <source>A rope that is laid in a wave.</source>
        <translation>Ein Seil, das in einer Welle gelegt wird.</translation>
    </message>
    <message>
        <source>A sail that fills.</source>
        <translation>Ein Segel, das sich füllt.</translation>
    </message>
    <message>
        <source>A staff in both hands is carried before the chest, the waist turns with it to one side and the other, and it comes down before the thighs.</source>
        <translation>Ein Stab in beiden Händen wird vor die Brust getragen, die Taille dreht sich mit ihm zur einen und zur anderen Seite, und er sinkt vor die Oberschenkel.</translation>
    </message>
    <message>
        <source>A weathercock on still days.</source>
        <translation>Ein Wetterhahn an stillen Tagen.</translation>
    </message>
    <message>
        <source>Arm Circle in a Lunge</source>
        <translation>Armkreis im Ausfallschritt</translation>
    </message>
    <message>
        <source>Arm Swing with Turning Feet</source>
        <translation>Armschwung mit drehenden Füßen</translation>
    </message>
    <message>
        <source>Arms round a tree, the body rocks as one from the middle of the feet to the balls, the heels just leave the floor, and back.</source>
        <translation>Die Arme um einen Baum, der Körper wiegt sich als Ganzes von der Fußmitte zu den Ballen, die Fersen lösen sich eben vom Boden, und zurück.</translation>
    </message>
    <message>
        <source>Back at a wall</source>
        <translation>Rücken an der Wand</translation>
    </message>
    <message>
        <source>Back at a wall, feet a step away: roll down and up a little way.</source>
        <translation>Rücken an der Wand, die Füße einen Schritt davor: ein kleines Stück ab- und wieder aufrollen.</translation>
    </message>
    <message>
        <source>Back to the middle</source>
        <translation>Zurück zur Mitte</translation>
    </message>
    <message>
        <source>Behind</source>
        <translation>Nach hinten</translation>
    </message>
    <message>
        <source>Bend and Swing</source>
        <translation>Beugen und Schwingen</translation>
    </message>
    <message>
        <source>Bounce and Shake</source>
        <translation>Wippen und Schütteln</translation>
    </message>
    <message>
        <source>Breathe in and close both fists before the chest as firmly as is easy, keep it a moment, then breathe out and let everything go.</source>
        <translation>Einatmen und beide Fäuste vor der Brust so fest schließen, wie es leicht geht, einen Moment halten, dann ausatmen und alles loslassen.</translation>
    </message>
    <message>
        <source>Carry a full yoke.</source>
        <translation>Ein volles Joch tragen.</translation>
    </message>
    <message>
        <source>Carry the staff up</source>
        <translation>Den Stab hinauftragen</translation>
    </message>
    <message>
        <source>Chest and shoulders: wide, the shoulders hang.</source>
        <translation>Brust und Schultern: weit, die Schultern hängen.</translation>
    </message>
    <message>
        <source>Circle while standing</source>
        <translation>Kreisen im Stehen</translation>
    </message>
    <message>
        <source>Closing Turn with a Staff</source>
        <translation>Abschlussdrehung mit dem Stab</translation>
    </message>
    <message>
        <source>Clouds in Place</source>
        <translation>Wolken auf der Stelle</translation>
    </message>
    <message>
        <source>Clouds in place</source>
        <translation>Wolken auf der Stelle</translation>
    </message>
    <message>
        <source>Clouds that pass before a hill.</source>
        <translation>Wolken, die vor einem Hügel ziehen.</translation>
    </message>
    <message>
        <source>Clouds with a Side Step</source>
        <translation>Wolken mit Seitschritt</translation>
    </message>
    <message>
        <source>Come back</source>
        <translation>Zurückkommen</translation>
    </message>
    <message>
        <source>Creep Low</source>
        <translation>Tief kriechen</translation>
    </message>
    <message>
        <source>Draw the front foot in</source>
        <translation>Den vorderen Fuß heranziehen</translation>
    </message>
    <message>
        <source>Drop into soft knees</source>
        <translation>In weiche Knie fallen lassen</translation>
    </message>
    <message>
        <source>Empty the foot</source>
        <translation>Den Fuß leeren</translation>
    </message>
    <message>
        <source>Empty the foot before it turns.</source>
        <translation>Den Fuß leeren, bevor er sich dreht.</translation>
    </message>
    <message>
        <source>Feet flat</source>
        <translation>Füße flach</translation>
    </message>
    <message>
        <source>Feet: parallel, the weight over the middle of both.</source>
        <translation>Füße: parallel, das Gewicht über der Mitte von beiden.</translation>
    </message>
    <message>
        <source>Fists Tight, Let Go</source>
        <translation>Fäuste fest, loslassen</translation>
    </message>
    <message>
        <source>Fold alone</source>
        <translation>Nur beugen</translation>
    </message>
    <message>
        <source>Fold and Roll Up</source>
        <translation>Beugen und aufrollen</translation>
    </message>
    <message>
        <source>Fold and come up with the hands on the thighs.</source>
        <translation>Beugen und wieder aufrichten, die Hände auf den Oberschenkeln.</translation>
    </message>
    <message>
        <source>Fold and round down</source>
        <translation>Beugen und rund hinabsinken</translation>
    </message>
    <message>
        <source>Fold at the hips, knees soft.</source>
        <translation>In den Hüften beugen, die Knie weich.</translation>
    </message>
    <message>
        <source>Fold forward over soft knees with a round back, hang for a breath, and roll up from the pelvis, the head last.</source>
        <translation>Über weichen Knien rund nach vorn beugen, einen Atemzug hängen und vom Becken her aufrollen, der Kopf zuletzt.</translation>
    </message>
    <message>
        <source>Follow Step</source>
        <translation>Nachstellschritt</translation>
    </message>
    <message>
        <source>Foot alone</source>
        <translation>Nur der Fuß</translation>
    </message>
    <message>
        <source>Forward and back</source>
        <translation>Vor und zurück</translation>
    </message>
    <message>
        <source>From a fold at the hips the arms swing easily to one side and the other, the trunk turns a little with them, then come up long.</source>
        <translation>In der Beuge aus den Hüften schwingen die Arme leicht zur einen und zur anderen Seite, der Rumpf dreht ein wenig mit, dann lang aufrichten.</translation>
    </message>
    <message>
        <source>From a wide stance the light foot turns out on its heel, the body turns over it into a lunge and comes back; then to the other side.</source>
        <translation>Aus weitem Stand dreht sich der leichte Fuß auf der Ferse nach außen, der Körper dreht sich über ihn in den Ausfallschritt und kommt zurück; dann zur anderen Seite.</translation>
    </message>
    <message>
        <source>From the heel to the fingers one long line.</source>
        <translation>Von der Ferse bis zu den Fingern eine lange Linie.</translation>
    </message>
    <message>
        <source>Gather</source>
        <translation>Sammeln</translation>
    </message>
    <message>
        <source>Grow long first, then turn.</source>
        <translation>Erst lang werden, dann drehen.</translation>
    </message>
    <message>
        <source>Half as long a step.</source>
        <translation>Ein halb so langer Schritt.</translation>
    </message>
    <message>
        <source>Half as low</source>
        <translation>Halb so tief</translation>
    </message>
    <message>
        <source>Hand on a chair</source>
        <translation>Hand am Stuhl</translation>
    </message>
    <message>
        <source>Hands at a wall</source>
        <translation>Hände an der Wand</translation>
    </message>
    <message>
        <source>Hands on the hips, from foot to foot without turning.</source>
        <translation>Hände an den Hüften, von Fuß zu Fuß ohne Drehung.</translation>
    </message>
    <message>
        <source>Hands on the hips, the pelvis draws a level circle over both feet while the head stays where it is; as often the other way round.</source>
        <translation>Die Hände an den Hüften, das Becken zeichnet einen ebenen Kreis über beiden Füßen, während der Kopf bleibt, wo er ist; ebenso oft andersherum.</translation>
    </message>
    <message>
        <source>Hands on the hips, turn and come back with quiet knees.</source>
        <translation>Hände an den Hüften, drehen und zurückkommen, die Knie ruhig.</translation>
    </message>
    <message>
        <source>Hands on the hips: reach, set, shift, shift back, step in.</source>
        <translation>Hände an den Hüften: tasten, setzen, verlagern, zurück verlagern, heransetzen.</translation>
    </message>
    <message>
        <source>Hands on the hips: round and lengthen the low back alone.</source>
        <translation>Hände an den Hüften: nur den unteren Rücken runden und längen.</translation>
    </message>
    <message>
        <source>Hands on the hips: shift away, turn the foot on its heel, turn it back.</source>
        <translation>Hände an den Hüften: weg verlagern, den Fuß auf der Ferse drehen, zurückdrehen.</translation>
    </message>
    <message>
        <source>Hands on the hips: shift away, turn the light foot, and turn it back.</source>
        <translation>Hände an den Hüften: weg verlagern, den leichten Fuß drehen und zurückdrehen.</translation>
    </message>
    <message>
        <source>Hands on the hips: shift, lift the heel, set it down.</source>
        <translation>Hände an den Hüften: verlagern, die Ferse heben, absetzen.</translation>
    </message>
    <message>
        <source>Hands on the thighs, small even bounces.</source>
        <translation>Hände auf den Oberschenkeln, kleines gleichmäßiges Wippen.</translation>
    </message>
    <message>
        <source>Hang for a breath</source>
        <translation>Einen Atemzug hängen</translation>
    </message>
    <message>
        <source>Head: the crown floats, the chin is easy.</source>
        <translation>Kopf: der Scheitel schwebt, das Kinn ist leicht.</translation>
    </message>
    <message>
        <source>Heel turn alone</source>
        <translation>Nur die Fersendrehung</translation>
    </message>
    <message>
        <source>Heels a foot from the wall, back and head resting on it: feel what is long.</source>
        <translation>Die Fersen einen Fuß breit vor der Wand, Rücken und Kopf angelehnt: spüren, was lang ist.</translation>
    </message>
    <message>
        <source>Heels down</source>
        <translation>Fersen unten</translation>
    </message>
    <message>
        <source>Height stays the same.</source>
        <translation>Die Höhe bleibt gleich.</translation>
    </message>
    <message>
        <source>High stances and short steps with the back foot following, as in the Sun family.</source>
        <translation>Hohe Stände und kurze Schritte, der hintere Fuß rückt nach, wie in der Sun-Familie.</translation>
    </message>
    <message>
        <source>Hip Circles</source>
        <translation>Hüftkreise</translation>
    </message>
    <message>
        <source>Hips and low back: long, nothing tucked.</source>
        <translation>Hüften und unterer Rücken: lang, nichts eingezogen.</translation>
    </message>
    <message>
        <source>Hold the lunge</source>
        <translation>Den Ausfallschritt halten</translation>
    </message>
    <message>
        <source>In a forward stance the trunk leans in one line with the back leg, stepping back too, as in the Wu family.</source>
        <translation>Im vorderen Stand neigt sich der Rumpf in einer Linie mit dem hinteren Bein, auch beim Rückwärtsschritt, wie in der Wu-Familie.</translation>
    </message>
    <message>
        <source>In a quiet stand, one fist forward and back, shoulders low.</source>
        <translation>Im ruhigen Stand eine Faust vor und zurück, die Schultern tief.</translation>
    </message>
    <message>
        <source>In a short step, shift until the back foot can be lifted.</source>
        <translation>Im kurzen Schritt verlagern, bis sich der hintere Fuß heben lässt.</translation>
    </message>
    <message>
        <source>In a wide stance the weight goes from side to side, the waist turns over it and the hands pass before the body like clouds.</source>
        <translation>Im weiten Stand geht das Gewicht von Seite zu Seite, die Taille dreht sich darüber, und die Hände ziehen wie Wolken vor dem Körper vorbei.</translation>
    </message>
    <message>
        <source>In low stances the hips may roll a little with the waist.</source>
        <translation>In tiefen Ständen dürfen die Hüften ein wenig mit der Taille rollen.</translation>
    </message>
    <message>
        <source>In standing the feet are parallel.</source>
        <translation>Im Stehen sind die Füße parallel.</translation>
    </message>
    <message>
        <source>In standing the heels are nearer than the toes, a hand or so.</source>
        <translation>Im Stehen sind die Fersen näher beieinander als die Zehen, etwa eine Handbreit.</translation>
    </message>
    <message>
        <source>In standing the toes point in a little, as if holding something between the feet.</source>
        <translation>Im Stehen zeigen die Zehen ein wenig nach innen, als hielten die Füße etwas.</translation>
    </message>
    <message>
        <source>In the bow stance, forward and back with the hands on the hips.</source>
        <translation>Im Bogenstand vor und zurück, die Hände an den Hüften.</translation>
    </message>
    <message>
        <source>In this way of standing the feet are parallel.</source>
        <translation>In dieser Art zu stehen sind die Füße parallel.</translation>
    </message>
    <message>
        <source>In this way of standing the feet open to a small V.</source>
        <translation>In dieser Art zu stehen öffnen sich die Füße zu einem kleinen V.</translation>
    </message>
    <message>
        <source>In this way of standing the toes point in a little.</source>
        <translation>In dieser Art zu stehen zeigen die Zehen ein wenig nach innen.</translation>
    </message>
    <message>
        <source>It touches with the toe</source>
        <translation>Er berührt mit den Zehen</translation>
    </message>
    <message>
        <source>It turns back</source>
        <translation>Er dreht zurück</translation>
    </message>
    <message>
        <source>Jaw, eyes and belly are soft.</source>
        <translation>Kiefer, Augen und Bauch sind weich.</translation>
    </message>
    <message>
        <source>Keep them tight</source>
        <translation>Fest halten</translation>
    </message>
    <message>
        <source>Knees: soft, over the toes.</source>
        <translation>Knie: weich, über den Zehen.</translation>
    </message>
    <message>
        <source>Lay the hands on</source>
        <translation>Die Hände auflegen</translation>
    </message>
    <message>
        <source>Lean a boat off the bank.</source>
        <translation>Ein Boot vom Ufer drücken.</translation>
    </message>
    <message>
        <source>Let go</source>
        <translation>Loslassen</translation>
    </message>
    <message>
        <source>Let go all at once.</source>
        <translation>Alles auf einmal loslassen.</translation>
    </message>
    <message>
        <source>Let the hands down</source>
        <translation>Die Hände sinken lassen</translation>
    </message>
    <message>
        <source>Let the hands shake out by themselves.</source>
        <translation>Die Hände sich von selbst ausschütteln lassen.</translation>
    </message>
    <message>
        <source>Let the other foot follow</source>
        <translation>Den anderen Fuß folgen lassen</translation>
    </message>
    <message>
        <source>Lift it</source>
        <translation>Ihn heben</translation>
    </message>
    <message>
        <source>Lift the heel and grow long to the side</source>
        <translation>Die Ferse heben und zur Seite lang werden</translation>
    </message>
    <message>
        <source>Long steps and low stances belong to this school.</source>
        <translation>Lange Schritte und tiefe Stände gehören zu dieser Schule.</translation>
    </message>
    <message>
        <source>Longer steps and lower stances, the hips free to roll with the waist, as in the Chen family.</source>
        <translation>Längere Schritte und tiefere Stände, die Hüften rollen frei mit der Taille, wie in der Chen-Familie.</translation>
    </message>
    <message>
        <source>Low and deep</source>
        <translation>Tief und weit</translation>
    </message>
    <message>
        <source>Lower it</source>
        <translation>Ihn senken</translation>
    </message>
    <message>
        <source>Lunge Switch</source>
        <translation>Wechsel im Ausfallschritt</translation>
    </message>
    <message>
        <source>Middle stances and an upright trunk, stepping back included, as in the Yang family; the movements&apos; own bands.</source>
        <translation>Mittlere Stände und ein aufrechter Rumpf, auch beim Rückwärtsschritt, wie in der Yang-Familie; die eigenen Bereiche der Bewegungen.</translation>
    </message>
    <message>
        <source>On the way down the head leads.</source>
        <translation>Auf dem Weg nach unten führt der Kopf.</translation>
    </message>
    <message>
        <source>One arm floats up, the weight goes to the other foot, the near heel lifts and the whole side grows long from heel to fingertips.</source>
        <translation>Ein Arm schwebt hinauf, das Gewicht geht auf den anderen Fuß, die nahe Ferse hebt sich, und die ganze Seite wird lang von der Ferse bis zu den Fingerspitzen.</translation>
    </message>
    <message>
        <source>One arm goes overhead.</source>
        <translation>Ein Arm geht über den Kopf.</translation>
    </message>
    <message>
        <source>One elbow lies folded before the chest, the other behind the back.</source>
        <translation>Ein Ellbogen liegt gefaltet vor der Brust, der andere hinter dem Rücken.</translation>
    </message>
    <message>
        <source>One fist, the other hand feels that the shoulder stays soft.</source>
        <translation>Eine Faust, die andere Hand spürt, dass die Schulter weich bleibt.</translation>
    </message>
    <message>
        <source>One foot opens, the other turns in after it.</source>
        <translation>Ein Fuß öffnet sich, der andere dreht ihm nach.</translation>
    </message>
    <message>
        <source>One foot turns out into the lunge.</source>
        <translation>Ein Fuß dreht sich in den Ausfallschritt hinaus.</translation>
    </message>
    <message>
        <source>One hand</source>
        <translation>Eine Hand</translation>
    </message>
    <message>
        <source>One hand lies on the low back, the other on the far shoulder; the trunk turns to the side of the hand behind, long and easy, and comes back.</source>
        <translation>Eine Hand liegt auf dem unteren Rücken, die andere auf der fernen Schulter; der Rumpf dreht sich zur Seite der hinteren Hand, lang und leicht, und kommt zurück.</translation>
    </message>
    <message>
        <source>One hand passes high while the other passes low.</source>
        <translation>Eine Hand zieht hoch vorbei, die andere tief.</translation>
    </message>
    <message>
        <source>One hand swings before the body while the other swings behind it.</source>
        <translation>Eine Hand schwingt vor dem Körper, die andere dahinter.</translation>
    </message>
    <message>
        <source>One part after the other, as a chain.</source>
        <translation>Ein Teil nach dem anderen, wie eine Kette.</translation>
    </message>
    <message>
        <source>One slow step back, toe first, the weight sits onto the back foot, and the same way forward again.</source>
        <translation>Ein langsamer Schritt zurück, die Zehen zuerst, das Gewicht setzt sich auf den hinteren Fuß, und auf demselben Weg wieder vor.</translation>
    </message>
    <message>
        <source>One slow step forward, heel first, the whole weight over the front foot with the back heel peeling, and the same way back.</source>
        <translation>Ein langsamer Schritt nach vorn, die Ferse zuerst, das ganze Gewicht über dem vorderen Fuß, die hintere Ferse löst sich, und auf demselben Weg zurück.</translation>
    </message>
    <message>
        <source>Only a light foot turns.</source>
        <translation>Nur ein leichter Fuß dreht sich.</translation>
    </message>
    <message>
        <source>Only as low as the knee follows its toes.</source>
        <translation>Nur so tief, wie das Knie seinen Zehen folgt.</translation>
    </message>
    <message>
        <source>Only hands and forearms work; shoulders and jaw stay soft.</source>
        <translation>Nur Hände und Unterarme arbeiten; Schultern und Kiefer bleiben weich.</translation>
    </message>
    <message>
        <source>Only the front and back of it.</source>
        <translation>Nur vorn und hinten davon.</translation>
    </message>
    <message>
        <source>Only the left and right of the circle.</source>
        <translation>Nur links und rechts vom Kreis.</translation>
    </message>
    <message>
        <source>Only the low back</source>
        <translation>Nur der untere Rücken</translation>
    </message>
    <message>
        <source>Over a round back the ears come down beside the shoulders.</source>
        <translation>Über einem runden Rücken kommen die Ohren neben die Schultern.</translation>
    </message>
    <message>
        <source>Parry and Punch</source>
        <translation>Abwehren und Fauststoß</translation>
    </message>
    <message>
        <source>Pelvis, knee and foot turn as one.</source>
        <translation>Becken, Knie und Fuß drehen als eines.</translation>
    </message>
    <message>
        <source>Polish the inside of a large bowl.</source>
        <translation>Das Innere einer großen Schale polieren.</translation>
    </message>
    <message>
        <source>Punch from the ribs</source>
        <translation>Stoß von den Rippen</translation>
    </message>
    <message>
        <source>Push a drawer shut with your whole body.</source>
        <translation>Eine Schublade mit dem ganzen Körper zuschieben.</translation>
    </message>
    <message>
        <source>Push and Sit Back</source>
        <translation>Drücken und zurücksitzen</translation>
    </message>
    <message>
        <source>Push at a wall at arm&apos;s length, elbows low.</source>
        <translation>Auf Armlänge gegen eine Wand drücken, die Ellbogen tief.</translation>
    </message>
    <message>
        <source>Push once more</source>
        <translation>Noch einmal drücken</translation>
    </message>
    <message>
        <source>Quiet Stand</source>
        <translation>Ruhiger Stand</translation>
    </message>
    <message>
        <source>Raise and close the fists</source>
        <translation>Heben und die Fäuste schließen</translation>
    </message>
    <message>
        <source>Raise and lower the staff without turning.</source>
        <translation>Den Stab heben und senken, ohne zu drehen.</translation>
    </message>
    <message>
        <source>Raise the arm and shift</source>
        <translation>Den Arm heben und verlagern</translation>
    </message>
    <message>
        <source>Reach and come back</source>
        <translation>Tasten und zurückholen</translation>
    </message>
    <message>
        <source>Reach back with the toe</source>
        <translation>Mit den Zehen nach hinten tasten</translation>
    </message>
    <message>
        <source>Reach back with the toe and bring it home, without any weight.</source>
        <translation>Mit den Zehen nach hinten tasten und heimholen, ohne Gewicht.</translation>
    </message>
    <message>
        <source>Reach with the heel and bring it back, without any weight.</source>
        <translation>Mit der Ferse tasten und zurückholen, ohne Gewicht.</translation>
    </message>
    <message>
        <source>Rise</source>
        <translation>Steigen</translation>
    </message>
    <message>
        <source>Rise and sink</source>
        <translation>Steigen und Sinken</translation>
    </message>
    <message>
        <source>Rise first, then turn without stopping.</source>
        <translation>Erst steigen, dann ohne Halt drehen.</translation>
    </message>
    <message>
        <source>Rock and settle</source>
        <translation>Wiegen und zur Ruhe kommen</translation>
    </message>
    <message>
        <source>Rock back</source>
        <translation>Zurückwiegen</translation>
    </message>
    <message>
        <source>Rock forward</source>
        <translation>Nach vorn wiegen</translation>
    </message>
    <message>
        <source>Rock from heels to balls, smaller each time, until it stops in the middle.</source>
        <translation>Von den Fersen zu den Ballen wiegen, jedes Mal kleiner, bis es in der Mitte anhält.</translation>
    </message>
    <message>
        <source>Rock from the ankles, everything else stays as it is.</source>
        <translation>Aus den Knöcheln wiegen, alles andere bleibt, wie es ist.</translation>
    </message>
    <message>
        <source>Rock only as far as the heels stay down.</source>
        <translation>Nur so weit wiegen, wie die Fersen unten bleiben.</translation>
    </message>
    <message>
        <source>Rock with heels down</source>
        <translation>Wiegen mit den Fersen unten</translation>
    </message>
    <message>
        <source>Rocking Post</source>
        <translation>Wiegender Pfahl</translation>
    </message>
    <message>
        <source>Roll at a wall</source>
        <translation>Rollen an der Wand</translation>
    </message>
    <message>
        <source>Roll up from the pelvis</source>
        <translation>Vom Becken her aufrollen</translation>
    </message>
    <message>
        <source>Set it down where it was</source>
        <translation>Ihn absetzen, wo er war</translation>
    </message>
    <message>
        <source>Set it flat</source>
        <translation>Ihn flach setzen</translation>
    </message>
    <message>
        <source>Shift all the way</source>
        <translation>Ganz verlagern</translation>
    </message>
    <message>
        <source>Shift alone</source>
        <translation>Nur verlagern</translation>
    </message>
    <message>
        <source>Shift and lift</source>
        <translation>Verlagern und heben</translation>
    </message>
    <message>
        <source>Shift and punch</source>
        <translation>Verlagern und stoßen</translation>
    </message>
    <message>
        <source>Shift and push</source>
        <translation>Verlagern und drücken</translation>
    </message>
    <message>
        <source>Shift and turn back</source>
        <translation>Verlagern und zurückdrehen</translation>
    </message>
    <message>
        <source>Shift and turn with the clouds</source>
        <translation>Mit den Wolken verlagern und drehen</translation>
    </message>
    <message>
        <source>Shift away and open the light foot</source>
        <translation>Weg verlagern und den leichten Fuß öffnen</translation>
    </message>
    <message>
        <source>Shift away from the foot</source>
        <translation>Vom Fuß weg verlagern</translation>
    </message>
    <message>
        <source>Shift back</source>
        <translation>Zurück verlagern</translation>
    </message>
    <message>
        <source>Shift back and rise</source>
        <translation>Zurück verlagern und steigen</translation>
    </message>
    <message>
        <source>Shift first, then bend.</source>
        <translation>Erst verlagern, dann beugen.</translation>
    </message>
    <message>
        <source>Shift first, then turn.</source>
        <translation>Erst verlagern, dann drehen.</translation>
    </message>
    <message>
        <source>Shift forward</source>
        <translation>Nach vorn verlagern</translation>
    </message>
    <message>
        <source>Shift to one foot</source>
        <translation>Auf einen Fuß verlagern</translation>
    </message>
    <message>
        <source>Shift to one foot, rise to make it light, turn it on its heel together with the whole body, and sink again; then turn back the same way.</source>
        <translation>Auf einen Fuß verlagern, steigen, damit der andere leicht wird, ihn auf der Ferse mit dem ganzen Körper drehen und wieder sinken; dann ebenso zurückdrehen.</translation>
    </message>
    <message>
        <source>Shift to the side</source>
        <translation>Zur Seite verlagern</translation>
    </message>
    <message>
        <source>Shift until empty</source>
        <translation>Verlagern, bis er leer ist</translation>
    </message>
    <message>
        <source>Shift without arms</source>
        <translation>Verlagern ohne Arme</translation>
    </message>
    <message>
        <source>Shift, rise, sink, without turning.</source>
        <translation>Verlagern, steigen, sinken, ohne zu drehen.</translation>
    </message>
    <message>
        <source>Short step</source>
        <translation>Kurzer Schritt</translation>
    </message>
    <message>
        <source>Short steps, small circles and an upright trunk, as in the Hao branch of the Wu family.</source>
        <translation>Kurze Schritte, kleine Kreise und ein aufrechter Rumpf, wie im Hao-Zweig der Wu-Familie.</translation>
    </message>
    <message>
        <source>Side Bend with the Heel Lifting</source>
        <translation>Seitbeuge mit gehobener Ferse</translation>
    </message>
    <message>
        <source>Side to side</source>
        <translation>Von Seite zu Seite</translation>
    </message>
    <message>
        <source>Sink a little</source>
        <translation>Ein wenig sinken</translation>
    </message>
    <message>
        <source>Sink a little into both feet, stand for some breaths and go through the body from the ground up, then rise.</source>
        <translation>Ein wenig in beide Füße sinken, einige Atemzüge stehen und vom Boden aufwärts durch den Körper gehen, dann steigen.</translation>
    </message>
    <message>
        <source>Sink and shift onto it</source>
        <translation>Sinken und darauf verlagern</translation>
    </message>
    <message>
        <source>Sink to the middle</source>
        <translation>Zur Mitte sinken</translation>
    </message>
    <message>
        <source>Sit back and draw in</source>
        <translation>Zurücksitzen und heranziehen</translation>
    </message>
    <message>
        <source>Sit back onto it</source>
        <translation>Sich daraufsetzen</translation>
    </message>
    <message>
        <source>Sit back without leaning back.</source>
        <translation>Zurücksitzen, ohne sich zurückzulehnen.</translation>
    </message>
    <message>
        <source>Sit down over the back heel.</source>
        <translation>Über der hinteren Ferse hinsetzen.</translation>
    </message>
    <message>
        <source>Sit low over the other leg</source>
        <translation>Tief über das andere Bein setzen</translation>
    </message>
    <message>
        <source>Slip under a low branch.</source>
        <translation>Unter einem niedrigen Ast hindurchschlüpfen.</translation>
    </message>
    <message>
        <source>Small frame, upright</source>
        <translation>Kleiner Rahmen, aufrecht</translation>
    </message>
    <message>
        <source>Small is enough.</source>
        <translation>Klein genügt.</translation>
    </message>
    <message>
        <source>Snow that falls off a branch.</source>
        <translation>Schnee, der von einem Ast fällt.</translation>
    </message>
    <message>
        <source>Soft knees carry the wave.</source>
        <translation>Weiche Knie tragen die Welle.</translation>
    </message>
    <message>
        <source>Spacing of the hands on the tool</source>
        <translation>Abstand der Hände am Gerät</translation>
    </message>
    <message>
        <source>Spine Wave</source>
        <translation>Wirbelsäulenwelle</translation>
    </message>
    <message>
        <source>Spring back</source>
        <translation>Zurückfedern</translation>
    </message>
    <message>
        <source>Squeeze a sponge and drop it.</source>
        <translation>Einen Schwamm drücken und fallen lassen.</translation>
    </message>
    <message>
        <source>Stack the bones one on the other.</source>
        <translation>Die Knochen einen auf den anderen stapeln.</translation>
    </message>
    <message>
        <source>Staff still</source>
        <translation>Stab ruhig</translation>
    </message>
    <message>
        <source>Stand and go through the body</source>
        <translation>Stehen und durch den Körper gehen</translation>
    </message>
    <message>
        <source>Standing in a small V</source>
        <translation>Stehen im kleinen V</translation>
    </message>
    <message>
        <source>Standing slightly toed in</source>
        <translation>Stehen mit leicht einwärts gedrehten Zehen</translation>
    </message>
    <message>
        <source>Standing with parallel feet</source>
        <translation>Stehen mit parallelen Füßen</translation>
    </message>
    <message>
        <source>Stay a moment</source>
        <translation>Einen Moment bleiben</translation>
    </message>
    <message>
        <source>Step alone</source>
        <translation>Nur der Schritt</translation>
    </message>
    <message>
        <source>Step back through a door without looking.</source>
        <translation>Rückwärts durch eine Tür treten, ohne hinzusehen.</translation>
    </message>
    <message>
        <source>Step back with it</source>
        <translation>Mit ihm zurücktreten</translation>
    </message>
    <message>
        <source>Step forward, shift all the way and let the back foot follow to a light toe behind; then step back in the same order.</source>
        <translation>Nach vorn treten, ganz verlagern und den hinteren Fuß leicht auf die Zehen nachkommen lassen; dann in derselben Folge zurück.</translation>
    </message>
    <message>
        <source>Step into a bow stance and push with both hands, sit back and draw the hands in, push once more, then return.</source>
        <translation>In den Bogenstand treten und mit beiden Händen drücken, zurücksitzen und die Hände heranziehen, noch einmal drücken, dann zurückkehren.</translation>
    </message>
    <message>
        <source>Step into a bow stance; from there one arm draws a large slow circle led by the shoulder blade, then sit back and return.</source>
        <translation>In den Bogenstand treten; dort zeichnet ein Arm, vom Schulterblatt geführt, einen großen langsamen Kreis, dann zurücksitzen und zurückkehren.</translation>
    </message>
    <message>
        <source>Step to the side</source>
        <translation>Zur Seite treten</translation>
    </message>
    <message>
        <source>Step to the side, shift and turn the waist with the hands passing before the body like clouds, shift back and step in again.</source>
        <translation>Zur Seite treten, verlagern und die Taille drehen, während die Hände wie Wolken vor dem Körper vorbeiziehen, zurück verlagern und wieder heransetzen.</translation>
    </message>
    <message>
        <source>Step with one hand parrying before the chest, shift and let the other fist go forward from the ribs; sit back and return.</source>
        <translation>Treten, während eine Hand vor der Brust abwehrt, verlagern und die andere Faust von den Rippen nach vorn gehen lassen; zurücksitzen und zurückkehren.</translation>
    </message>
    <message>
        <source>Steps are short in this school.</source>
        <translation>Die Schritte sind in dieser Schule kurz.</translation>
    </message>
    <message>
        <source>Swing back</source>
        <translation>Zurückschwingen</translation>
    </message>
    <message>
        <source>Swing to one side</source>
        <translation>Zur einen Seite schwingen</translation>
    </message>
    <message>
        <source>Swing upright</source>
        <translation>Aufrecht schwingen</translation>
    </message>
    <message>
        <source>Swing with still feet</source>
        <translation>Schwingen mit ruhigen Füßen</translation>
    </message>
    <message>
        <source>The arm circle in a quiet stand, small at first.</source>
        <translation>Der Armkreis im ruhigen Stand, anfangs klein.</translation>
    </message>
    <message>
        <source>The arm forward</source>
        <translation>Der Arm nach vorn</translation>
    </message>
    <message>
        <source>The arms are heavy and swing by themselves.</source>
        <translation>Die Arme sind schwer und schwingen von selbst.</translation>
    </message>
    <message>
        <source>The arms fly out long.</source>
        <translation>Die Arme fliegen lang hinaus.</translation>
    </message>
    <message>
        <source>The arms lie on the body.</source>
        <translation>Die Arme liegen am Körper.</translation>
    </message>
    <message>
        <source>The arms swing in a quiet stand.</source>
        <translation>Die Arme schwingen im ruhigen Stand.</translation>
    </message>
    <message>
        <source>The back foot follows by itself when it is empty.</source>
        <translation>Der hintere Fuß folgt von selbst, wenn er leer ist.</translation>
    </message>
    <message>
        <source>The back heel peels off as the weight arrives.</source>
        <translation>Die hintere Ferse löst sich, wenn das Gewicht ankommt.</translation>
    </message>
    <message>
        <source>The back rounds and lengthens part by part.</source>
        <translation>Der Rücken rundet und längt sich Teil für Teil.</translation>
    </message>
    <message>
        <source>The back rounds from below and lengthens part by part: pelvis, low back, upper back, neck; then the wave runs back down, led by the head.</source>
        <translation>Der Rücken rundet sich von unten und wird Teil für Teil lang: Becken, unterer Rücken, oberer Rücken, Nacken; dann läuft die Welle wieder hinab, vom Kopf geführt.</translation>
    </message>
    <message>
        <source>The back stays upright, the sitting leg does the work.</source>
        <translation>Der Rücken bleibt aufrecht, das sitzende Bein arbeitet.</translation>
    </message>
    <message>
        <source>The body arrives over the foot before the other leaves.</source>
        <translation>Der Körper kommt über dem Fuß an, bevor der andere geht.</translation>
    </message>
    <message>
        <source>The body rises to make the foot light.</source>
        <translation>Der Körper steigt, damit der Fuß leicht wird.</translation>
    </message>
    <message>
        <source>The bounce comes from the knees, the heels stay down.</source>
        <translation>Das Wippen kommt aus den Knien, die Fersen bleiben unten.</translation>
    </message>
    <message>
        <source>The bounce is up and down.</source>
        <translation>Das Wippen geht auf und ab.</translation>
    </message>
    <message>
        <source>The breath comes and goes by itself.</source>
        <translation>Der Atem kommt und geht von selbst.</translation>
    </message>
    <message>
        <source>The circle is as large as both feet allow.</source>
        <translation>Der Kreis ist so groß, wie beide Füße es erlauben.</translation>
    </message>
    <message>
        <source>The circle may sink a little at its sides.</source>
        <translation>Der Kreis darf an den Seiten ein wenig sinken.</translation>
    </message>
    <message>
        <source>The eyes go with the upper hand.</source>
        <translation>Die Augen gehen mit der oberen Hand.</translation>
    </message>
    <message>
        <source>The feet turn on heel and ball.</source>
        <translation>Die Füße drehen auf Ferse und Ballen.</translation>
    </message>
    <message>
        <source>The feet turn with the body.</source>
        <translation>Die Füße drehen mit dem Körper.</translation>
    </message>
    <message>
        <source>The fist leaves the ribs when the weight comes.</source>
        <translation>Die Faust verlässt die Rippen, wenn das Gewicht kommt.</translation>
    </message>
    <message>
        <source>The fist stands upright and stays loose until the end.</source>
        <translation>Die Faust steht aufrecht und bleibt bis zum Ende locker.</translation>
    </message>
    <message>
        <source>The foot behind turns on its ball</source>
        <translation>Der hintere Fuß dreht auf dem Ballen</translation>
    </message>
    <message>
        <source>The foot that turns lifts its toes or its heel.</source>
        <translation>Der drehende Fuß hebt die Zehen oder die Ferse.</translation>
    </message>
    <message>
        <source>The foot turns on its heel.</source>
        <translation>Der Fuß dreht auf der Ferse.</translation>
    </message>
    <message>
        <source>The front knee stays still over its foot.</source>
        <translation>Das vordere Knie bleibt ruhig über seinem Fuß.</translation>
    </message>
    <message>
        <source>The gaze goes with the wave of the back.</source>
        <translation>Der Blick geht mit der Welle des Rückens.</translation>
    </message>
    <message>
        <source>The hands and the waist without stepping.</source>
        <translation>Die Hände und die Taille ohne Schritt.</translation>
    </message>
    <message>
        <source>The hands change</source>
        <translation>Die Hände wechseln</translation>
    </message>
    <message>
        <source>The hands keep their places on the staff.</source>
        <translation>Die Hände behalten ihren Platz am Stab.</translation>
    </message>
    <message>
        <source>The head goes with the wave of the back.</source>
        <translation>Der Kopf geht mit der Welle des Rückens.</translation>
    </message>
    <message>
        <source>The head hangs until the back is up.</source>
        <translation>Der Kopf hängt, bis der Rücken oben ist.</translation>
    </message>
    <message>
        <source>The head leads down</source>
        <translation>Der Kopf führt hinab</translation>
    </message>
    <message>
        <source>The head stays over the middle.</source>
        <translation>Der Kopf bleibt über der Mitte.</translation>
    </message>
    <message>
        <source>The heel touches before any weight comes.</source>
        <translation>Die Ferse berührt, bevor Gewicht kommt.</translation>
    </message>
    <message>
        <source>The heels rise a little when rocking forward.</source>
        <translation>Die Fersen heben sich ein wenig beim Wiegen nach vorn.</translation>
    </message>
    <message>
        <source>The hip of the lifting heel rises with it.</source>
        <translation>Die Hüfte der gehobenen Ferse steigt mit.</translation>
    </message>
    <message>
        <source>The knee arrives over the toes.</source>
        <translation>Das Knie kommt über den Zehen an.</translation>
    </message>
    <message>
        <source>The knees bounce softly, the heels stay down and everything above shakes loose, hands and shoulders too.</source>
        <translation>Die Knie wippen weich, die Fersen bleiben unten, und alles darüber schüttelt sich locker, auch Hände und Schultern.</translation>
    </message>
    <message>
        <source>The knees give with the wave.</source>
        <translation>Die Knie geben mit der Welle nach.</translation>
    </message>
    <message>
        <source>The knees stay over the feet.</source>
        <translation>Die Knie bleiben über den Füßen.</translation>
    </message>
    <message>
        <source>The knees turn with their feet.</source>
        <translation>Die Knie drehen mit ihren Füßen.</translation>
    </message>
    <message>
        <source>The light foot opens on its heel, the body turns over it and takes the arms along, and the foot that is left behind turns on its ball, so that no knee is twisted; and back the same way.</source>
        <translation>Der leichte Fuß öffnet sich auf der Ferse, der Körper dreht sich darüber und nimmt die Arme mit, und der zurückbleibende Fuß dreht auf dem Ballen, damit kein Knie verdreht wird; und ebenso zurück.</translation>
    </message>
    <message>
        <source>The movement goes down and up.</source>
        <translation>Die Bewegung geht hinab und hinauf.</translation>
    </message>
    <message>
        <source>The near heel lifts as asked.</source>
        <translation>Die nahe Ferse hebt sich wie gewünscht.</translation>
    </message>
    <message>
        <source>The pelvis comes up</source>
        <translation>Das Becken kommt hoch</translation>
    </message>
    <message>
        <source>The push comes from the back foot.</source>
        <translation>Das Drücken kommt aus dem hinteren Fuß.</translation>
    </message>
    <message>
        <source>The rocking lifts the body a little.</source>
        <translation>Das Wiegen hebt den Körper ein wenig.</translation>
    </message>
    <message>
        <source>The same swing with the feet still, smaller.</source>
        <translation>Derselbe Schwung mit ruhigen Füßen, kleiner.</translation>
    </message>
    <message>
        <source>The same with empty hands, as far apart.</source>
        <translation>Dasselbe mit leeren Händen, ebenso weit auseinander.</translation>
    </message>
    <message>
        <source>The same with half the depth, hand on a table.</source>
        <translation>Dasselbe halb so tief, die Hand auf einem Tisch.</translation>
    </message>
    <message>
        <source>The same with the heels on the floor.</source>
        <translation>Dasselbe mit den Fersen am Boden.</translation>
    </message>
    <message>
        <source>The shoulder blade begins, the hand comes last.</source>
        <translation>Das Schulterblatt beginnt, die Hand kommt zuletzt.</translation>
    </message>
    <message>
        <source>The step lands empty.</source>
        <translation>Der Schritt landet leer.</translation>
    </message>
    <message>
        <source>The swing with both feet flat, only as far as the knees stay.</source>
        <translation>Der Schwung mit beiden Füßen flach, nur so weit, wie die Knie ruhig bleiben.</translation>
    </message>
    <message>
        <source>The toe touches before any weight comes.</source>
        <translation>Die Zehen berühren, bevor Gewicht kommt.</translation>
    </message>
    <message>
        <source>The toes leave the floor as the foot turns on its heel.</source>
        <translation>Die Zehen lösen sich vom Boden, wenn der Fuß auf der Ferse dreht.</translation>
    </message>
    <message>
        <source>The trunk bends in this movement.</source>
        <translation>Der Rumpf beugt sich in dieser Bewegung.</translation>
    </message>
    <message>
        <source>The trunk leans against the circle of the hips.</source>
        <translation>Der Rumpf lehnt sich gegen den Kreis der Hüften.</translation>
    </message>
    <message>
        <source>The trunk of an elephant.</source>
        <translation>Der Rüssel eines Elefanten.</translation>
    </message>
    <message>
        <source>The waist carries the hands.</source>
        <translation>Die Taille trägt die Hände.</translation>
    </message>
    <message>
        <source>The waist leads, the arms fly.</source>
        <translation>Die Taille führt, die Arme fliegen.</translation>
    </message>
    <message>
        <source>The waist turns, the staff rests in the hands.</source>
        <translation>Die Taille dreht, der Stab ruht in den Händen.</translation>
    </message>
    <message>
        <source>Three breaths in the bow stance with the hands on the hips.</source>
        <translation>Drei Atemzüge im Bogenstand, die Hände an den Hüften.</translation>
    </message>
    <message>
        <source>To the front</source>
        <translation>Nach vorn</translation>
    </message>
    <message>
        <source>To the other side</source>
        <translation>Zur anderen Seite</translation>
    </message>
    <message>
        <source>To the side</source>
        <translation>Zur Seite</translation>
    </message>
    <message>
        <source>Turn and gather</source>
        <translation>Drehen und sammeln</translation>
    </message>
    <message>
        <source>Turn and shift into the lunge</source>
        <translation>Drehen und in den Ausfallschritt verlagern</translation>
    </message>
    <message>
        <source>Turn back</source>
        <translation>Zurückdrehen</translation>
    </message>
    <message>
        <source>Turn by a third only.</source>
        <translation>Nur um ein Drittel drehen.</translation>
    </message>
    <message>
        <source>Turn it out on the heel</source>
        <translation>Ihn auf der Ferse nach außen drehen</translation>
    </message>
    <message>
        <source>Turn on One Foot</source>
        <translation>Drehung auf einem Fuß</translation>
    </message>
    <message>
        <source>Turn over it</source>
        <translation>Darüber drehen</translation>
    </message>
    <message>
        <source>Turn over it and let swing</source>
        <translation>Darüber drehen und schwingen lassen</translation>
    </message>
    <message>
        <source>Turn the foot in on the heel</source>
        <translation>Den Fuß auf der Ferse einwärts drehen</translation>
    </message>
    <message>
        <source>Turn the light foot and the body</source>
        <translation>Den leichten Fuß und den Körper drehen</translation>
    </message>
    <message>
        <source>Turn the light foot home</source>
        <translation>Den leichten Fuß heimdrehen</translation>
    </message>
    <message>
        <source>Turn to that side</source>
        <translation>Zu dieser Seite drehen</translation>
    </message>
    <message>
        <source>Turn with it</source>
        <translation>Mit ihm drehen</translation>
    </message>
    <message>
        <source>Turn without arms</source>
        <translation>Drehen ohne Arme</translation>
    </message>
    <message>
        <source>Turning in the bend is what this movement is made of, small and easy.</source>
        <translation>Aus dem Drehen in der Beuge besteht diese Bewegung, klein und leicht.</translation>
    </message>
    <message>
        <source>Twist with a Hand behind the Back</source>
        <translation>Drehung mit der Hand hinter dem Rücken</translation>
    </message>
    <message>
        <source>Walk on thin ice.</source>
        <translation>Auf dünnem Eis gehen.</translation>
    </message>
    <message>
        <source>Walk: One Step Back</source>
        <translation>Gehen: ein Schritt zurück</translation>
    </message>
    <message>
        <source>Walk: One Step Forward</source>
        <translation>Gehen: ein Schritt vor</translation>
    </message>
    <message>
        <source>Water that comes to rest in a bowl.</source>
        <translation>Wasser, das in einer Schale zur Ruhe kommt.</translation>
    </message>
    <message>
        <source>Wind a great wheel.</source>
        <translation>Ein großes Rad drehen.</translation>
    </message>
    <message>
        <source>Without the staff</source>
        <translation>Ohne Stab</translation>
    </message>
    <message>
        <source>Wring a cloth that is not very wet.</source>
        <translation>Ein Tuch auswringen, das nicht sehr nass ist.</translation>
    </message>
    <message>
        <source>and behind</source>
        <translation>und nach hinten</translation>
    </message>
    <message>
        <source>and down</source>
        <translation>und hinab</translation>
    </message>
    <message>
        <source>and over</source>
        <translation>und hinüber</translation>
    </message>
    <message>
        <source>and to the other</source>
        <translation>und zur anderen</translation>
    </message>
    <message>
        <source>distance of the wrists ÷ that in the first second</source>
        <translation>Abstand der Handgelenke ÷ dem in der ersten Sekunde</translation>
    </message>
    <message>
        <source>loosening</source>
        <translation>Lockern</translation>
    </message>
    <message>
        <source>settling</source>
        <translation>Ankommen</translation>
    </message>
    <message>
        <source>the head comes last</source>
        <translation>der Kopf kommt zuletzt</translation>
    </message>
    <message>
        <source>the neck and head come last</source>
        <translation>Nacken und Kopf kommen zuletzt</translation>
    </message>
    <message>
        <source>then the low back</source>
        <translation>dann der untere Rücken</translation>
    </message>
    <message>
        <source>then the upper back</source>
        <translation>dann der obere Rücken</translation>
    </message>
    <message>
        <source>with a staff</source>
        <translation>mit dem Stab</translation>
    </message>
    <message>
        <source>A bird with one wing on the rail.</source>
        <translation>Ein Vogel mit einem Flügel auf dem Geländer.</translation>
    </message>
    <message>
        <source>As the one-leg stand, with the hand of the standing side resting on the back of a chair.</source>
        <translation>Wie der Stand auf einem Bein, die Hand der Standseite ruht auf einer Stuhllehne.</translation>
    </message>
    <message>
        <source>Both sitting bones</source>
        <translation>Beide Sitzknochen</translation>
    </message>
    <message>
        <source>Fingertips</source>
        <translation>Fingerspitzen</translation>
    </message>
    <message>
        <source>Leaning back</source>
        <translation>Angelehnt</translation>
    </message>
    <message>
        <source>One finger after the other leaves the chair.</source>
        <translation>Ein Finger nach dem anderen verlässt den Stuhl.</translation>
    </message>
    <message>
        <source>One-Leg Stand at a Chair</source>
        <translation>Stand auf einem Bein am Stuhl</translation>
    </message>
    <message>
        <source>Rock from one sitting bone to the other, smaller and smaller, and rest in the middle.</source>
        <translation>Von einem Sitzknochen zum anderen wiegen, immer kleiner, und in der Mitte ruhen.</translation>
    </message>
    <message>
        <source>Sit on both sitting bones alike.</source>
        <translation>Sitz auf beiden Sitzknochen gleich.</translation>
    </message>
    <message>
        <source>The feet stay heavy on the floor.</source>
        <translation>Die Füße bleiben schwer auf dem Boden.</translation>
    </message>
    <message>
        <source>The hand rests, it does not hold on.</source>
        <translation>Die Hand ruht, sie hält sich nicht fest.</translation>
    </message>
    <message>
        <source>With the back against the chair, only the arms and the breath.</source>
        <translation>Mit dem Rücken an der Lehne, nur die Arme und der Atem.</translation>
    </message>
    <message>
        <source>Hands resting on rising water.</source>
        <translation>Die Hände ruhen auf steigendem Wasser.</translation>
    </message>
    <message>
        <source>Let the hands come home</source>
        <translation>Die Hände heimkommen lassen</translation>
    </message>
    <message>
        <source>On the front of a chair, feet flat and hip-wide, the hands float up before the body with the breath and sink again.</source>
        <translation>Vorn auf einem Stuhl, die Füße flach und hüftbreit: Die Hände steigen vor dem Körper mit dem Atem und sinken wieder.</translation>
    </message>
    <message>
        <source>Rise and Sink, Seated</source>
        <translation>Steigen und Sinken im Sitzen</translation>
    </message>
    <message>
        <source>Along a wall</source>
        <translation>An einer Wand entlang</translation>
    </message>
    <message>
        <source>Feet a shoulder&apos;s width apart: less far to go.</source>
        <translation>Füße schulterbreit: der Weg ist kürzer.</translation>
    </message>
    <message>
        <source>Foot stays down</source>
        <translation>Fuß bleibt unten</translation>
    </message>
    <message>
        <source>Let one sole slide wide to the side, sit over the standing leg as low as is easy with the other leg long, and rise again.</source>
        <translation>Eine Sohle weit zur Seite gleiten lassen, so tief über dem Standbein sitzen, wie es leicht ist, das andere Bein lang, und wieder aufrichten.</translation>
    </message>
    <message>
        <source>Lighten the sole</source>
        <translation>Die Sohle leicht machen</translation>
    </message>
    <message>
        <source>Narrower</source>
        <translation>Schmaler</translation>
    </message>
    <message>
        <source>On the front of a chair, feet flat and hip-wide: the same with trunk and arms, smaller.</source>
        <translation>Vorn auf einem Stuhl, Füße flach und hüftbreit: dasselbe mit Rumpf und Armen, kleiner.</translation>
    </message>
    <message>
        <source>Slide it back in</source>
        <translation>Zurück heranziehen</translation>
    </message>
    <message>
        <source>Slide it wide</source>
        <translation>Weit gleiten lassen</translation>
    </message>
    <message>
        <source>The light foot slides over the floor, without weight.</source>
        <translation>Der leichte Fuß gleitet über den Boden, ohne Gewicht.</translation>
    </message>
    <message>
        <source>Two fingers on a wall, until it is not needed.</source>
        <translation>Zwei Finger an einer Wand, bis sie nicht mehr nötig ist.</translation>
    </message>
    <message>
        <source>One hand rests on the chair.</source>
        <translation>Eine Hand ruht auf dem Stuhl.</translation>
    </message>
    <message>
        <source>The chair holds the hips.</source>
        <translation>Der Stuhl hält die Hüfte.</translation>
    </message>
    <message>
        <source>A lantern carried over still water.</source>
        <translation>Eine Laterne, über stilles Wasser getragen.</translation>
    </message>
    <message>
        <source>Arms against a wall</source>
        <translation>Arme an der Wand</translation>
    </message>
    <message>
        <source>Back to a wall, open the arms along it without the shoulders rising.</source>
        <translation>Mit dem Rücken zur Wand die Arme an ihr entlang öffnen, ohne dass die Schultern steigen.</translation>
    </message>
    <message>
        <source>Breathe the shoulders down</source>
        <translation>Die Schultern hinunter atmen</translation>
    </message>
    <message>
        <source>Clouds drawn apart, and the sun behind them.</source>
        <translation>Wolken, auseinandergezogen, und die Sonne dahinter.</translation>
    </message>
    <message>
        <source>Hands behind the back: set the heel down empty, pour the weight across, sit back again.</source>
        <translation>Hände auf dem Rücken: die Ferse leer aufsetzen, das Gewicht hinübergießen, wieder zurücksetzen.</translation>
    </message>
    <message>
        <source>Hands on the hips, turn from the waist and come back, the knees where they were.</source>
        <translation>Hände auf der Hüfte, aus der Taille drehen und zurückkommen, die Knie bleiben, wo sie waren.</translation>
    </message>
    <message>
        <source>Raise the hands on the in-breath, let the shoulders sink on the out-breath and leave them there.</source>
        <translation>Mit dem Einatmen die Hände heben, mit dem Ausatmen die Schultern sinken und dort lassen.</translation>
    </message>
    <message>
        <source>Sink with the tailbone, not with the chest.</source>
        <translation>Mit dem Steißbein sinken, nicht mit der Brust.</translation>
    </message>
    <message>
        <source>Step along two lines</source>
        <translation>Auf zwei Linien schreiten</translation>
    </message>
    <message>
        <source>Stroking a mane from the root to its tips.</source>
        <translation>Eine Mähne streichen, von der Wurzel zu den Spitzen.</translation>
    </message>
    <message>
        <source>The arms open from the back.</source>
        <translation>Die Arme öffnen sich aus dem Rücken.</translation>
    </message>
    <message>
        <source>The foot lands empty, then the weight comes.</source>
        <translation>Der Fuß kommt leer auf, dann kommt das Gewicht.</translation>
    </message>
    <message>
        <source>The shoulders stay down while the hands rise.</source>
        <translation>Die Schultern bleiben unten, während die Hände steigen.</translation>
    </message>
    <message>
        <source>The side of the body along a wall while the weight goes forward and back.</source>
        <translation>Die Seite des Körpers an einer Wand entlang, während das Gewicht vor und zurück geht.</translation>
    </message>
    <message>
        <source>The waist parts the hands.</source>
        <translation>Die Taille teilt die Hände.</translation>
    </message>
    <message>
        <source>The waist turns, the arms come along.</source>
        <translation>Die Taille dreht, die Arme kommen mit.</translation>
    </message>
    <message>
        <source>Two tapes on the floor, a foot on each: step without ever standing on one line.</source>
        <translation>Zwei Bänder am Boden, auf jedem ein Fuß: schreiten, ohne je auf einer Linie zu stehen.</translation>
    </message>
    <message>
        <source>Drawing is the shorter part: the in-breath gathers and lets go.</source>
        <translation>Das Spannen ist der kürzere Teil: Das Einatmen sammelt und löst.</translation>
    </message>
    <message>
        <source>Film the whole of you from where the movement shows most.</source>
        <translation>Ganz im Bild filmen, von dort, wo man die Bewegung am besten sieht.</translation>
    </message>
    <message>
        <source>Halt</source>
        <translation>Anhalten</translation>
    </message>
    <message>
        <source>Let it flow on here: as slowly as you like, but without a halt.</source>
        <translation>Lass es hier weiterfließen: so langsam du magst, aber ohne anzuhalten.</translation>
    </message>
    <message>
        <source>The hands come home on the same out-breath.</source>
        <translation>Die Hände kehren mit demselben Ausatmen zurück.</translation>
    </message>
    <message>
        <source>The in-breath carries both hands to their ends.</source>
        <translation>Das Einatmen trägt beide Hände bis ans Ende.</translation>
    </message>
    <message>
        <source>The long reach upwards goes with the in-breath.</source>
        <translation>Das lange Strecken nach oben geht mit dem Einatmen.</translation>
    </message>
    <message>
        <source>The movement flows on without a halt.</source>
        <translation>Die Bewegung fließt ohne Halt weiter.</translation>
    </message>
    <message>
        <source>The out-breath pours, sinks and scoops in one.</source>
        <translation>Das Ausatmen gießt, sinkt und schöpft in einem Zug.</translation>
    </message>
    <message>
        <source>longest stretch slower than a quarter of the figure&apos;s own speed about that moment, at the student&apos;s pace</source>
        <translation>längste Strecke, die langsamer ist als ein Viertel der Geschwindigkeit der Figur um diesen Moment, im Tempo der Übenden</translation>
    </message>
    <message>
        <source>marked breath against where the movement begins it</source>
        <translation>markierter Atem gegen die Stelle, an der die Bewegung ihn beginnt</translation>
    </message>
    <message>
        <source>Back</source>
        <translation>Zurück</translation>
    </message>
    <message>
        <source>Both feet quiet</source>
        <translation>Beide Füße still</translation>
    </message>
    <message>
        <source>Practice that is none of the forms: all figures are measured, and where both feet stand quietly it is looked at whether it may hurt.</source>
        <translation>Übung, die keine der Formen ist: Alle Zahlen werden gemessen, und wo beide Füße still stehen, wird geprüft, ob es schaden kann.</translation>
    </message>
    <message>
        <source>Something else</source>
        <translation>Etwas anderes</translation>
    </message>
    <message>
        <source>Whatever is meant: knees over the toes, nothing locked, the body over its base.</source>
        <translation>Was immer gemeint ist: Knie über den Zehen, nichts durchgedrückt, der Körper über seiner Basis.</translation>
    </message>
    <message>
        <source>free</source>
        <translation>frei</translation>
    </message>
    <message>
        <source>All the weight forward</source>
        <translation>Das ganze Gewicht nach vorn</translation>
    </message>
    <message>
        <source>Carry on a little further: the front leg takes less of you than this stance asks.</source>
        <translation>Geh noch ein wenig weiter: Das vordere Bein trägt weniger von dir, als dieser Stand verlangt.</translation>
    </message>
    <message>
        <source>Chest eased, upper back full</source>
        <translation>Brust gelöst, oberer Rücken voll</translation>
    </message>
    <message>
        <source>Chest lifted</source>
        <translation>Brust gehoben</translation>
    </message>
    <message>
        <source>End the hold when its time is up: what was planned is enough.</source>
        <translation>Beende das Halten, wenn seine Zeit um ist: Was geplant war, genügt.</translation>
    </message>
    <message>
        <source>Film the whole hold, with its beginning and its end.</source>
        <translation>Filme das ganze Halten, mit seinem Anfang und seinem Ende.</translation>
    </message>
    <message>
        <source>Horse stance with open feet</source>
        <translation>Reiterstand mit offenen Füßen</translation>
    </message>
    <message>
        <source>Horse stance with parallel feet</source>
        <translation>Reiterstand mit parallelen Füßen</translation>
    </message>
    <message>
        <source>In a forward stance nearly all the weight goes to the front foot; steps are short and stances high, so that the knee stays behind the toes.</source>
        <translation>Im Vorwärtsstand geht fast das ganze Gewicht auf den vorderen Fuß; die Schritte sind kurz und die Stände hoch, damit das Knie hinter den Zehen bleibt.</translation>
    </message>
    <message>
        <source>In a horse stance the feet are parallel.</source>
        <translation>Im Reiterstand sind die Füße parallel.</translation>
    </message>
    <message>
        <source>In a horse stance the toes point out with the knees.</source>
        <translation>Im Reiterstand zeigen die Zehen mit den Knien nach außen.</translation>
    </message>
    <message>
        <source>In standing six to seven tenths of the weight rest on the heels.</source>
        <translation>Im Stehen ruhen sechs bis sieben Zehntel des Gewichts auf den Fersen.</translation>
    </message>
    <message>
        <source>In this way of standing more of the weight is on the heels.</source>
        <translation>In dieser Art zu stehen liegt mehr vom Gewicht auf den Fersen.</translation>
    </message>
    <message>
        <source>In this way of standing the feet of a horse stance are open.</source>
        <translation>In dieser Art zu stehen sind die Füße im Reiterstand offen.</translation>
    </message>
    <message>
        <source>In this way of standing the feet of a horse stance are parallel.</source>
        <translation>In dieser Art zu stehen sind die Füße im Reiterstand parallel.</translation>
    </message>
    <message>
        <source>In this way of stepping all the weight goes forward.</source>
        <translation>In dieser Art zu schreiten geht das ganze Gewicht nach vorn.</translation>
    </message>
    <message>
        <source>In this way of stepping the weight rolls on while the foot comes down.</source>
        <translation>In dieser Art zu schreiten rollt das Gewicht weiter, während der Fuß aufsetzt.</translation>
    </message>
    <message>
        <source>Length of the hold</source>
        <translation>Länge des Haltens</translation>
    </message>
    <message>
        <source>Rolling on</source>
        <translation>Weiterrollend</translation>
    </message>
    <message>
        <source>Send out the hand on the side of the front foot.</source>
        <translation>Schick die Hand auf der Seite des vorderen Fußes nach vorn.</translation>
    </message>
    <message>
        <source>Send out the other hand: the one across from the front foot.</source>
        <translation>Schick die andere Hand nach vorn: die dem vorderen Fuß gegenüber.</translation>
    </message>
    <message>
        <source>Standing towards the heels</source>
        <translation>Stehen zu den Fersen hin</translation>
    </message>
    <message>
        <source>Stay a little longer, for as long as the form keeps.</source>
        <translation>Bleib ein wenig länger, so lange die Form hält.</translation>
    </message>
    <message>
        <source>Stepping back too, the trunk may lean in this school.</source>
        <translation>Auch beim Rückwärtsschritt darf sich der Rumpf in dieser Schule neigen.</translation>
    </message>
    <message>
        <source>The chest is eased and the upper back full and wide; the low back is lengthened.</source>
        <translation>Die Brust ist gelöst, der obere Rücken voll und weit; der untere Rücken ist lang.</translation>
    </message>
    <message>
        <source>The chest is lifted in this school.</source>
        <translation>Die Brust ist in dieser Schule gehoben.</translation>
    </message>
    <message>
        <source>The chest is lifted over an easy back; the low back keeps its own curve.</source>
        <translation>Die Brust ist über einem gelösten Rücken gehoben; der untere Rücken behält seine eigene Biegung.</translation>
    </message>
    <message>
        <source>The hold lasts as long as planned.</source>
        <translation>Das Halten dauert so lange wie geplant.</translation>
    </message>
    <message>
        <source>The low back is lengthened in this school.</source>
        <translation>Der untere Rücken ist in dieser Schule lang.</translation>
    </message>
    <message>
        <source>The shift begins while the sole is still coming down, without a halt.</source>
        <translation>Die Verlagerung beginnt ohne Halt, während die Sohle noch aufsetzt.</translation>
    </message>
    <message>
        <source>The upper back is full in this school.</source>
        <translation>Der obere Rücken ist in dieser Schule voll.</translation>
    </message>
    <message>
        <source>from the end of the way into a hold to the beginning of the way out</source>
        <translation>vom Ende des Weges in ein Halten bis zum Beginn des Weges hinaus</translation>
    </message>
    <message>
        <source>Bend less: to about seven tenths of what you comfortably could.</source>
        <translation>Neige dich weniger: etwa sieben Zehntel dessen, was dir leicht fällt.</translation>
    </message>
    <message>
        <source>Full tension for a moment is the exercise; it asks no range.</source>
        <translation>Volle Spannung für einen Moment ist die Übung; sie verlangt keine Weite.</translation>
    </message>
    <message>
        <source>Range used in bending sideways</source>
        <translation>Genutzter Spielraum beim Seitneigen</translation>
    </message>
    <message>
        <source>Range used in depth</source>
        <translation>Genutzter Spielraum in der Tiefe</translation>
    </message>
    <message>
        <source>Range used in twisting</source>
        <translation>Genutzter Spielraum beim Drehen</translation>
    </message>
    <message>
        <source>Stay higher: sink to about seven tenths of what you comfortably could.</source>
        <translation>Bleib höher: sinke etwa sieben Zehntel dessen, was dir leicht fällt.</translation>
    </message>
    <message>
        <source>The bend stays within an easy range.</source>
        <translation>Die Neigung bleibt in einem leichten Spielraum.</translation>
    </message>
    <message>
        <source>The depth stays within an easy range.</source>
        <translation>Die Tiefe bleibt in einem leichten Spielraum.</translation>
    </message>
    <message>
        <source>The twist stays within an easy range.</source>
        <translation>Die Drehung bleibt in einem leichten Spielraum.</translation>
    </message>
    <message>
        <source>Twist less: to about seven tenths of what you comfortably could.</source>
        <translation>Dreh dich weniger: etwa sieben Zehntel dessen, was dir leicht fällt.</translation>
    </message>
    <message>
        <source>any, with a known range</source>
        <translation>beliebig, mit bekanntem Spielraum</translation>
    </message>
    <message>
        <source>as the side bend, with a known range</source>
        <translation>wie die Seitneigung, mit bekanntem Spielraum</translation>
    </message>
    <message>
        <source>as the turn gap, with a known range</source>
        <translation>wie die Verdrehung, mit bekanntem Spielraum</translation>
    </message>
    <message>
        <source>how far the hips sink, in how far this person sinks with ease</source>
        <translation>wie weit die Hüften sinken, im Verhältnis zu dem, wie weit diese Person leicht sinkt</translation>
    </message>
    <message>
        <source>side bend of the trunk, in how far this person bends with ease</source>
        <translation>Seitneigung des Rumpfs, im Verhältnis zu dem, wie weit diese Person sich leicht neigt</translation>
    </message>
    <message>
        <source>turn of the shoulders against the hips, in how far this person twists with ease</source>
        <translation>Drehung der Schultern gegen die Hüften, im Verhältnis zu dem, wie weit diese Person sich leicht dreht</translation>
    </message>
    <message>
        <source>Break in the swing</source>
        <translation>Bruch im Schwung</translation>
    </message>
    <message>
        <source>Carry the staff a little further in front, clear of the body.</source>
        <translation>Trage den Stab etwas weiter vorn, frei vom Körper.</translation>
    </message>
    <message>
        <source>Change of hands after the waist</source>
        <translation>Wechsel der Hände nach der Taille</translation>
    </message>
    <message>
        <source>Direction of the tool</source>
        <translation>Richtung des Geräts</translation>
    </message>
    <message>
        <source>Eyes against the hand</source>
        <translation>Augen gegen die Hand</translation>
    </message>
    <message>
        <source>Height of the end of the tool</source>
        <translation>Höhe des Endes des Geräts</translation>
    </message>
    <message>
        <source>Here the hands are changing already.</source>
        <translation>Hier wechseln die Hände schon.</translation>
    </message>
    <message>
        <source>In a side step the ball of the foot comes down first.</source>
        <translation>Im Seitschritt kommt der Ballen zuerst auf.</translation>
    </message>
    <message>
        <source>In a side step the heel comes down first.</source>
        <translation>Im Seitschritt kommt die Ferse zuerst auf.</translation>
    </message>
    <message>
        <source>In the side step let the ball of the foot come down first.</source>
        <translation>Lass im Seitschritt zuerst den Ballen aufkommen.</translation>
    </message>
    <message>
        <source>In the side step let the heel come down first.</source>
        <translation>Lass im Seitschritt zuerst die Ferse aufkommen.</translation>
    </message>
    <message>
        <source>In this way of stepping aside the ball comes down first.</source>
        <translation>Bei dieser Art, zur Seite zu treten, kommt der Ballen zuerst auf.</translation>
    </message>
    <message>
        <source>In this way of stepping aside the heel comes down first.</source>
        <translation>Bei dieser Art, zur Seite zu treten, kommt die Ferse zuerst auf.</translation>
    </message>
    <message>
        <source>In this way of turning the hips stay where they are.</source>
        <translation>Bei dieser Art zu drehen bleiben die Hüften, wo sie sind.</translation>
    </message>
    <message>
        <source>Let each swing grow out of the one before, and at the end let it die away; do not stop and start.</source>
        <translation>Lass jeden Schwung aus dem vorigen wachsen und am Ende ausklingen; nicht anhalten und neu beginnen.</translation>
    </message>
    <message>
        <source>Let the eyes go with the upper hand; they run ahead of it.</source>
        <translation>Lass die Augen mit der oberen Hand gehen; sie laufen ihr voraus.</translation>
    </message>
    <message>
        <source>Let the eyes go with the upper hand; they stay behind.</source>
        <translation>Lass die Augen mit der oberen Hand gehen; sie bleiben zurück.</translation>
    </message>
    <message>
        <source>Let the heels rise a little higher, if that is easy.</source>
        <translation>Lass die Fersen etwas höher steigen, wenn das leicht geht.</translation>
    </message>
    <message>
        <source>Let the hips stay where they are and turn the waist over them, only as far as it goes by itself.</source>
        <translation>Lass die Hüften, wo sie sind, und drehe die Taille darüber, nur so weit, wie es von selbst geht.</translation>
    </message>
    <message>
        <source>Let the staff turn a little more to the left, with the shoulders.</source>
        <translation>Lass den Stab etwas mehr nach links drehen, mit den Schultern.</translation>
    </message>
    <message>
        <source>Let the staff turn a little more to the right, with the shoulders.</source>
        <translation>Lass den Stab etwas mehr nach rechts drehen, mit den Schultern.</translation>
    </message>
    <message>
        <source>Let the waist arrive first; then the hands change places.</source>
        <translation>Lass zuerst die Taille ankommen; dann wechseln die Hände die Plätze.</translation>
    </message>
    <message>
        <source>Lower this end of the staff a little.</source>
        <translation>Senke dieses Ende des Stabs etwas.</translation>
    </message>
    <message>
        <source>Pause on top of the heel raise</source>
        <translation>Pause oben beim Fersenheben</translation>
    </message>
    <message>
        <source>Raise the heels only as high as planned.</source>
        <translation>Hebe die Fersen nur so hoch wie geplant.</translation>
    </message>
    <message>
        <source>Raise this end of the staff a little.</source>
        <translation>Hebe dieses Ende des Stabs etwas.</translation>
    </message>
    <message>
        <source>Side step on the ball</source>
        <translation>Seitschritt auf dem Ballen</translation>
    </message>
    <message>
        <source>Side step on the heel</source>
        <translation>Seitschritt auf der Ferse</translation>
    </message>
    <message>
        <source>Stay at the top for a moment before you come down.</source>
        <translation>Bleib oben einen Moment, bevor du herunterkommst.</translation>
    </message>
    <message>
        <source>Stay at the top less long.</source>
        <translation>Bleib oben weniger lang.</translation>
    </message>
    <message>
        <source>The eyes go with the hand.</source>
        <translation>Die Augen gehen mit der Hand.</translation>
    </message>
    <message>
        <source>The foot of the side step comes down as this way of stepping asks.</source>
        <translation>Der Fuß des Seitschritts kommt auf, wie diese Art zu treten es verlangt.</translation>
    </message>
    <message>
        <source>The hands change when the waist has arrived.</source>
        <translation>Die Hände wechseln, wenn die Taille angekommen ist.</translation>
    </message>
    <message>
        <source>The heels pause at the top.</source>
        <translation>Die Fersen verweilen oben.</translation>
    </message>
    <message>
        <source>The heels rise as high as planned.</source>
        <translation>Die Fersen steigen so hoch wie geplant.</translation>
    </message>
    <message>
        <source>The hips stay while the waist turns.</source>
        <translation>Die Hüften bleiben, während die Taille dreht.</translation>
    </message>
    <message>
        <source>The staff is carried clear of the body.</source>
        <translation>Der Stab wird frei vom Körper getragen.</translation>
    </message>
    <message>
        <source>The staff points where it is asked to.</source>
        <translation>Der Stab zeigt, wohin er soll.</translation>
    </message>
    <message>
        <source>The swing grows in and dies away without a break.</source>
        <translation>Der Schwung wächst an und klingt aus, ohne Bruch.</translation>
    </message>
    <message>
        <source>The tips are as high as asked.</source>
        <translation>Die Enden sind so hoch wie verlangt.</translation>
    </message>
    <message>
        <source>The waist turns by itself in this way of turning.</source>
        <translation>Bei dieser Art zu drehen dreht die Taille für sich.</translation>
    </message>
    <message>
        <source>Tool from the body</source>
        <translation>Gerät vom Körper</translation>
    </message>
    <message>
        <source>Turning on the spot, the waist turns over hips that stay nearly still.</source>
        <translation>Beim Drehen am Ort dreht die Taille über Hüften, die fast still bleiben.</translation>
    </message>
    <message>
        <source>Waist over quiet hips</source>
        <translation>Taille über ruhigen Hüften</translation>
    </message>
    <message>
        <source>as what swings</source>
        <translation>wie das, was schwingt</translation>
    </message>
    <message>
        <source>from the end of the pelvis turn to where the hands begin to change places</source>
        <translation>vom Ende der Beckendrehung bis zu dem Moment, in dem die Hände beginnen, die Plätze zu wechseln</translation>
    </message>
    <message>
        <source>height over the floor, of the body height, of the point a fifth of the body height beyond this hand on the line through both hands</source>
        <translation>Höhe über dem Boden, in Körperhöhen, des Punkts ein Fünftel der Körperhöhe jenseits dieser Hand auf der Linie durch beide Hände</translation>
    </message>
    <message>
        <source>on the floor plan, the line through both hands against that through the shoulders, turned to the left positive</source>
        <translation>im Grundriss die Linie durch beide Hände gegen die durch die Schultern, nach links gedreht positiv</translation>
    </message>
    <message>
        <source>on the floor plan, where the nose points against the way from the head to this hand, to own left positive</source>
        <translation>im Grundriss, wohin die Nase zeigt, gegen den Weg vom Kopf zu dieser Hand, zur eigenen Linken positiv</translation>
    </message>
    <message>
        <source>time with the heel above eight tenths of its highest</source>
        <translation>Zeit, in der die Ferse über acht Zehnteln ihres Höchsten ist</translation>
    </message>
    <message>
        <source>how far a swing falls behind larger ones before and after it, of the largest swing; nothing where swings grow, stay and die away</source>
        <translation>wie weit ein Schwung hinter größeren davor und danach zurückbleibt, am größten gemessen; nichts, wo Schwünge wachsen, bleiben und ausklingen</translation>
    </message>
    <message>
        <source>little energy that day</source>
        <translation>wenig Kraft an diesem Tag</translation>
    </message>
    <message>
        <source>not taught yet</source>
        <translation>noch nicht gelehrt</translation>
    </message>
    <message>
        <source>pain that day</source>
        <translation>Schmerz an dem Tag</translation>
    </message>
    <message>
        <source>least distance of the tool from the axes of trunk, head and shins</source>
        <translation>kleinster Abstand des Geräts von den Achsen von Rumpf, Kopf und Unterschenkeln</translation>
    </message>
    <message>
        <source>A slow form of twenty-four parts along a line and back again.</source>
        <translation>Eine langsame Form aus vierundzwanzig Teilen auf einer Linie hin und wieder zurück.</translation>
    </message>
    <message>
        <source>A step to each side of the front, a turn to the left, a strike and a push, and home.</source>
        <translation>Ein Schritt nach jeder Seite vorn, eine Drehung nach links, ein Schlag und ein Schieben, und zurück.</translation>
    </message>
    <message>
        <source>An hour of standing parts in one flow, from loosening to the quiet stand, with a settle between the kinds.</source>
        <translation>Eine Stunde stehender Teile in einem Fluss, vom Lockern bis zum ruhigen Stand, mit einem Sinken zwischen den Arten.</translation>
    </message>
    <message>
        <source>Class Flow of Fifteen</source>
        <translation>Stundenfluss mit fünfzehn</translation>
    </message>
    <message>
        <source>Clouds with a step along a line, to the left and back to the right.</source>
        <translation>Wolken mit Schritt auf einer Linie, nach links und zurück nach rechts.</translation>
    </message>
    <message>
        <source>Come to rest</source>
        <translation>Zur Ruhe kommen</translation>
    </message>
    <message>
        <source>Eight Parts with a Settle Between</source>
        <translation>Acht Teile mit Sinken dazwischen</translation>
    </message>
    <message>
        <source>Eight standing parts; after each one the arms rise and sink once.</source>
        <translation>Acht stehende Teile; nach jedem heben und senken sich die Arme einmal.</translation>
    </message>
    <message>
        <source>Four empty steps forward, a turn, and four back to where it began.</source>
        <translation>Vier leere Schritte vor, eine Drehung und vier zurück zum Anfang.</translation>
    </message>
    <message>
        <source>On a chair from beginning to end: rise and sink, look behind, open and close, pass the hands.</source>
        <translation>Von Anfang bis Ende auf dem Stuhl: heben und senken, zurückschauen, öffnen und schließen, die Hände wechseln.</translation>
    </message>
    <message>
        <source>Place the foot</source>
        <translation>Fuß setzen</translation>
    </message>
    <message>
        <source>Rise and settle</source>
        <translation>Heben und sinken</translation>
    </message>
    <message>
        <source>Seated Set</source>
        <translation>Folge im Sitzen</translation>
    </message>
    <message>
        <source>Settle again</source>
        <translation>Noch einmal sinken</translation>
    </message>
    <message>
        <source>Settle at the end</source>
        <translation>Sinken am Ende</translation>
    </message>
    <message>
        <source>Settle into it</source>
        <translation>Hineinsinken</translation>
    </message>
    <message>
        <source>Six Parts with a Turn</source>
        <translation>Sechs Teile mit Drehung</translation>
    </message>
    <message>
        <source>Six with a Follow Step</source>
        <translation>Sechs mit Nachschritt</translation>
    </message>
    <message>
        <source>Staff: Close with a Turn</source>
        <translation>Stab: Schluss mit Drehung</translation>
    </message>
    <message>
        <source>Steps that the other foot follows, left and right in turn.</source>
        <translation>Schritte, denen der andere Fuß folgt, links und rechts im Wechsel.</translation>
    </message>
    <message>
        <source>Steps to the Side</source>
        <translation>Schritte zur Seite</translation>
    </message>
    <message>
        <source>Swing again</source>
        <translation>Noch einmal schwingen</translation>
    </message>
    <message>
        <source>Swing to a close</source>
        <translation>Ausschwingen</translation>
    </message>
    <message>
        <source>Swings that Never Stop</source>
        <translation>Schwünge ohne Halt</translation>
    </message>
    <message>
        <source>The staff is raised and carried round with the waist to both sides.</source>
        <translation>Der Stab wird gehoben und mit der Taille nach beiden Seiten herumgetragen.</translation>
    </message>
    <message>
        <source>The waist swings the arms while the feet change: still, with pivots, in a wide stance, and back.</source>
        <translation>Die Taille schwingt die Arme, während die Füße wechseln: still, mit Drehen, im weiten Stand und zurück.</translation>
    </message>
    <message>
        <source>Turn the foot</source>
        <translation>Fuß drehen</translation>
    </message>
    <message>
        <source>Turned back</source>
        <translation>Zurückgedreht</translation>
    </message>
    <message>
        <source>Turned to the left</source>
        <translation>Nach links gedreht</translation>
    </message>
    <message>
        <source>Twelve at the Quay</source>
        <translation>Zwölf am Kai</translation>
    </message>
    <message>
        <source>Twelve parts of a slow form: out along one line, with a turn and back.</source>
        <translation>Zwölf Teile einer langsamen Form: auf einer Linie hinaus, mit einer Drehung und zurück.</translation>
    </message>
    <message>
        <source>Twenty-Four, There and Back</source>
        <translation>Vierundzwanzig, hin und zurück</translation>
    </message>
    <message>
        <source>Walk, Turn, Walk Back</source>
        <translation>Gehen, drehen, zurückgehen</translation>
    </message>
    <message>
        <source>Weight off the foot</source>
        <translation>Gewicht vom Fuß</translation>
    </message>
    <message>
        <source>Weight over</source>
        <translation>Gewicht hinüber</translation>
    </message>
    <message>
        <source>A Ball from Side to Side</source>
        <translation>Ein Ball von Seite zu Seite</translation>
    </message>
    <message>
        <source>A gull that leans on the wind.</source>
        <translation>Eine Möwe, die sich an den Wind lehnt.</translation>
    </message>
    <message>
        <source>A heavy lamp on a short cord.</source>
        <translation>Eine schwere Lampe an kurzer Schnur.</translation>
    </message>
    <message>
        <source>A horse that trots on the spot.</source>
        <translation>Ein Pferd, das auf der Stelle trabt.</translation>
    </message>
    <message>
        <source>A pair of bellows, drawn slowly.</source>
        <translation>Ein Blasebalg, langsam aufgezogen.</translation>
    </message>
    <message>
        <source>A willow over the water, moved from its roots.</source>
        <translation>Eine Weide über dem Wasser, aus den Wurzeln bewegt.</translation>
    </message>
    <message>
        <source>Across the front</source>
        <translation>Vorn herum</translation>
    </message>
    <message>
        <source>Arm Swing in the Horse</source>
        <translation>Armschwung im Reiterstand</translation>
    </message>
    <message>
        <source>Arms alone</source>
        <translation>Nur die Arme</translation>
    </message>
    <message>
        <source>Arms round a ball, the body sways forward and back over both feet, each wave smaller than the last, until it stands still.</source>
        <translation>Die Arme um einen Ball, der Körper wiegt vor und zurück über beiden Füßen, jede Welle kleiner als die vorige, bis er still steht.</translation>
    </message>
    <message>
        <source>Back along the floor</source>
        <translation>Am Boden entlang zurück</translation>
    </message>
    <message>
        <source>Back to the belly</source>
        <translation>Zurück zum Bauch</translation>
    </message>
    <message>
        <source>Both arms draw one great circle before the body: up along one side, over the head, down along the other and through below, the weight going with it.</source>
        <translation>Beide Arme ziehen einen großen Kreis vor dem Körper: an einer Seite hinauf, über den Kopf, an der anderen hinab und unten hindurch, das Gewicht geht mit.</translation>
    </message>
    <message>
        <source>Both hands arrive with the weight.</source>
        <translation>Beide Hände kommen mit dem Gewicht an.</translation>
    </message>
    <message>
        <source>Both palms draw a level circle before the belly, out over one side, across the front and in over the other, carried by the weight; as often the other way round.</source>
        <translation>Beide Handflächen ziehen einen ebenen Kreis vor dem Bauch, hinaus über eine Seite, vorn herum und über die andere herein, vom Gewicht getragen; ebenso oft andersherum.</translation>
    </message>
    <message>
        <source>Breathe into the hands and feel the back widen.</source>
        <translation>In die Hände atmen und spüren, wie der Rücken weit wird.</translation>
    </message>
    <message>
        <source>Bring the hands to the front</source>
        <translation>Die Hände nach vorn bringen</translation>
    </message>
    <message>
        <source>Brow high</source>
        <translation>Stirnhoch</translation>
    </message>
    <message>
        <source>Carry a bowl of soup along a bench.</source>
        <translation>Trag eine Schale Suppe eine Bank entlang.</translation>
    </message>
    <message>
        <source>Carry it across</source>
        <translation>Hinübertragen</translation>
    </message>
    <message>
        <source>Carry it back to the middle</source>
        <translation>Zur Mitte zurücktragen</translation>
    </message>
    <message>
        <source>Chest Round and Open</source>
        <translation>Brust rund und offen</translation>
    </message>
    <message>
        <source>Chin down and up</source>
        <translation>Kinn hinab und hinauf</translation>
    </message>
    <message>
        <source>Come back and let them close</source>
        <translation>Zurückkommen und sie schließen lassen</translation>
    </message>
    <message>
        <source>Come up with a long back, from the hips.</source>
        <translation>Mit langem Rücken aufrichten, aus der Hüfte.</translation>
    </message>
    <message>
        <source>Down along the other</source>
        <translation>An der anderen hinab</translation>
    </message>
    <message>
        <source>Draw a long thread between both hands.</source>
        <translation>Zieh einen langen Faden zwischen beiden Händen.</translation>
    </message>
    <message>
        <source>Drop a plumb line into a well.</source>
        <translation>Lass ein Lot in einen Brunnen hinab.</translation>
    </message>
    <message>
        <source>Drop as softly as on thin ice.</source>
        <translation>So weich fallen wie auf dünnes Eis.</translation>
    </message>
    <message>
        <source>Fan through the Back</source>
        <translation>Fächer durch den Rücken</translation>
    </message>
    <message>
        <source>Feel how high the saddle is.</source>
        <translation>Fühle, wie hoch der Sattel ist.</translation>
    </message>
    <message>
        <source>Fold and let the hand sink</source>
        <translation>Falten und die Hand sinken lassen</translation>
    </message>
    <message>
        <source>Fold it back</source>
        <translation>Zurückfalten</translation>
    </message>
    <message>
        <source>Fold over one leg</source>
        <translation>Über ein Bein falten</translation>
    </message>
    <message>
        <source>From side to side in the stance, trunk upright.</source>
        <translation>Im Stand von Seite zu Seite, Rumpf aufrecht.</translation>
    </message>
    <message>
        <source>Gather at the ribs</source>
        <translation>An den Rippen sammeln</translation>
    </message>
    <message>
        <source>Great Circle Overhead</source>
        <translation>Großer Kreis über dem Kopf</translation>
    </message>
    <message>
        <source>Hands and weight arrive one after the other</source>
        <translation>Hände und Gewicht kommen nacheinander an</translation>
    </message>
    <message>
        <source>Hands down the Legs</source>
        <translation>Hände die Beine hinab</translation>
    </message>
    <message>
        <source>Hands on the hips, from one foot to the other.</source>
        <translation>Hände auf den Hüften, von einem Fuß zum anderen.</translation>
    </message>
    <message>
        <source>Hands on the ribs</source>
        <translation>Hände auf den Rippen</translation>
    </message>
    <message>
        <source>Hands on the thighs, fold a little over one leg and come up.</source>
        <translation>Hände auf den Oberschenkeln, ein wenig über ein Bein falten und hochkommen.</translation>
    </message>
    <message>
        <source>Hands to the low back</source>
        <translation>Hände zum unteren Rücken</translation>
    </message>
    <message>
        <source>Heavy Palms</source>
        <translation>Schwere Handflächen</translation>
    </message>
    <message>
        <source>Heel forward, arms open</source>
        <translation>Ferse vor, Arme öffnen</translation>
    </message>
    <message>
        <source>Heels stay down</source>
        <translation>Fersen bleiben unten</translation>
    </message>
    <message>
        <source>Heels up</source>
        <translation>Fersen hoch</translation>
    </message>
    <message>
        <source>Here the trunk folds forward a little, from the hips.</source>
        <translation>Hier faltet sich der Rumpf ein wenig nach vorn, aus der Hüfte.</translation>
    </message>
    <message>
        <source>High Pat on the Horse</source>
        <translation>Dem Pferd hoch auf den Hals klopfen</translation>
    </message>
    <message>
        <source>Hips and shoulders do not turn together</source>
        <translation>Hüfte und Schultern drehen nicht zusammen</translation>
    </message>
    <message>
        <source>Hold two heavy doors open.</source>
        <translation>Halte zwei schwere Türen auf.</translation>
    </message>
    <message>
        <source>In a wide easy stance the hands hold a ball before the belly and the weight carries it from the middle over one foot and back.</source>
        <translation>In einem weiten, leichten Stand halten die Hände einen Ball vor dem Bauch, und das Gewicht trägt ihn von der Mitte über einen Fuß und zurück.</translation>
    </message>
    <message>
        <source>In a wide horse stance the weight goes to one side, the trunk folds and turns with the far shoulder towards that knee, and rises again through the middle.</source>
        <translation>Im weiten Reiterstand geht das Gewicht zu einer Seite, der Rumpf faltet sich und dreht mit der fernen Schulter zu diesem Knie und richtet sich durch die Mitte wieder auf.</translation>
    </message>
    <message>
        <source>In a wide low stance the waist turns from side to side and the arms swing along; the height stays the same all the while.</source>
        <translation>In einem weiten, tiefen Stand dreht die Taille von Seite zu Seite und die Arme schwingen mit; die Höhe bleibt die ganze Zeit gleich.</translation>
    </message>
    <message>
        <source>In over the other side</source>
        <translation>Über die andere Seite herein</translation>
    </message>
    <message>
        <source>In the fold the head goes in line with the back.</source>
        <translation>In der Faltung geht der Kopf in der Linie des Rückens.</translation>
    </message>
    <message>
        <source>Let the chin sink</source>
        <translation>Das Kinn sinken lassen</translation>
    </message>
    <message>
        <source>Look Behind, Arms Turning</source>
        <translation>Nach hinten schauen, Arme drehen</translation>
    </message>
    <message>
        <source>Low Heel Kick</source>
        <translation>Tiefer Fersenstoß</translation>
    </message>
    <message>
        <source>Neck Half Circle</source>
        <translation>Halber Nackenkreis</translation>
    </message>
    <message>
        <source>Needle to the Floor</source>
        <translation>Nadel zum Boden</translation>
    </message>
    <message>
        <source>No higher than the belly</source>
        <translation>Nicht höher als der Bauch</translation>
    </message>
    <message>
        <source>Not with sore joints or brittle bones, and not over the heads of sleeping neighbours.</source>
        <translation>Nicht mit schmerzenden Gelenken oder brüchigen Knochen und nicht über den Köpfen schlafender Nachbarn.</translation>
    </message>
    <message>
        <source>One hand gathers to a hook at the side, the step goes out, and the other palm opens to the front as the weight comes; sit back and return.</source>
        <translation>Eine Hand sammelt sich seitlich zum Haken, der Schritt geht hinaus, und die andere Handfläche öffnet sich nach vorn, wenn das Gewicht kommt; zurücksetzen und zurückkehren.</translation>
    </message>
    <message>
        <source>One side is practised more often than the other</source>
        <translation>Eine Seite wird öfter geübt als die andere</translation>
    </message>
    <message>
        <source>One side reaches further than the other</source>
        <translation>Eine Seite reicht weiter als die andere</translation>
    </message>
    <message>
        <source>Only the arms; the heels stay where they are.</source>
        <translation>Nur die Arme; die Fersen bleiben, wo sie sind.</translation>
    </message>
    <message>
        <source>Only the front half, never a full circle.</source>
        <translation>Nur die vordere Hälfte, nie ein voller Kreis.</translation>
    </message>
    <message>
        <source>Only the head moves, and it may rest at each place.</source>
        <translation>Nur der Kopf bewegt sich, und er darf an jeder Stelle ruhen.</translation>
    </message>
    <message>
        <source>Only the sinking and the rising of the head.</source>
        <translation>Nur das Sinken und das Heben des Kopfes.</translation>
    </message>
    <message>
        <source>Open a fan with one movement.</source>
        <translation>Öffne einen Fächer in einer Bewegung.</translation>
    </message>
    <message>
        <source>Open without lifting the ribs.</source>
        <translation>Öffnen, ohne die Rippen zu heben.</translation>
    </message>
    <message>
        <source>Out over one side</source>
        <translation>Über eine Seite hinaus</translation>
    </message>
    <message>
        <source>Over a folded trunk one shoulder is lower.</source>
        <translation>Über gefaltetem Rumpf ist eine Schulter tiefer.</translation>
    </message>
    <message>
        <source>Over the head</source>
        <translation>Über den Kopf</translation>
    </message>
    <message>
        <source>Over the head the ribs stay down.</source>
        <translation>Über dem Kopf bleiben die Rippen unten.</translation>
    </message>
    <message>
        <source>Palm and weight arrive together.</source>
        <translation>Handfläche und Gewicht kommen zusammen an.</translation>
    </message>
    <message>
        <source>Palm forward, the other to the belly</source>
        <translation>Handfläche vor, die andere zum Bauch</translation>
    </message>
    <message>
        <source>Palms alone</source>
        <translation>Nur die Handflächen</translation>
    </message>
    <message>
        <source>Pay out a rope while walking backwards.</source>
        <translation>Lass beim Rückwärtsgehen ein Seil nach.</translation>
    </message>
    <message>
        <source>Polish the Table</source>
        <translation>Den Tisch polieren</translation>
    </message>
    <message>
        <source>Post that Comes to Rest</source>
        <translation>Standsäule, die zur Ruhe kommt</translation>
    </message>
    <message>
        <source>Push a door shut with the heel while carrying two lamps.</source>
        <translation>Schieb mit der Ferse eine Tür zu, während du zwei Lampen trägst.</translation>
    </message>
    <message>
        <source>Push out to the sides with the heels down.</source>
        <translation>Zu den Seiten drücken, die Fersen am Boden.</translation>
    </message>
    <message>
        <source>Push out, heels rise</source>
        <translation>Hinausdrücken, Fersen heben sich</translation>
    </message>
    <message>
        <source>Push while sitting back, not before.</source>
        <translation>Beim Zurücksetzen schieben, nicht vorher.</translation>
    </message>
    <message>
        <source>Raise the head</source>
        <translation>Den Kopf heben</translation>
    </message>
    <message>
        <source>Reach Wide in a Lunge</source>
        <translation>Weit öffnen im Ausfallschritt</translation>
    </message>
    <message>
        <source>Reach from the back, shoulders low.</source>
        <translation>Aus dem Rücken reichen, Schultern tief.</translation>
    </message>
    <message>
        <source>Rise as one piece.</source>
        <translation>Als ein Stück steigen.</translation>
    </message>
    <message>
        <source>Rise flat-backed</source>
        <translation>Mit flachem Rücken aufrichten</translation>
    </message>
    <message>
        <source>Rise through the middle</source>
        <translation>Durch die Mitte aufrichten</translation>
    </message>
    <message>
        <source>Round between the shoulder blades, not in the low back.</source>
        <translation>Zwischen den Schulterblättern runden, nicht im unteren Rücken.</translation>
    </message>
    <message>
        <source>Round the upper back</source>
        <translation>Den oberen Rücken runden</translation>
    </message>
    <message>
        <source>Round to the side</source>
        <translation>Zur Seite hinüber</translation>
    </message>
    <message>
        <source>Shift and open to the front</source>
        <translation>Verlagern und nach vorn öffnen</translation>
    </message>
    <message>
        <source>Shift and reach wide</source>
        <translation>Verlagern und weit öffnen</translation>
    </message>
    <message>
        <source>Shift in the horse</source>
        <translation>Verlagern im Reiterstand</translation>
    </message>
    <message>
        <source>Shift to one side</source>
        <translation>Zu einer Seite verlagern</translation>
    </message>
    <message>
        <source>Shift, open up and forward</source>
        <translation>Verlagern, nach oben und vorn öffnen</translation>
    </message>
    <message>
        <source>Shoulder towards the knee</source>
        <translation>Schulter zum Knie</translation>
    </message>
    <message>
        <source>Shoulders stay low while the palms push.</source>
        <translation>Die Schultern bleiben tief, während die Handflächen drücken.</translation>
    </message>
    <message>
        <source>Single Whip</source>
        <translation>Einfache Peitsche</translation>
    </message>
    <message>
        <source>Sink and let the arms come back</source>
        <translation>Sinken und die Arme zurückkommen lassen</translation>
    </message>
    <message>
        <source>Sit back and push</source>
        <translation>Zurücksetzen und schieben</translation>
    </message>
    <message>
        <source>Sit down into the back leg, do not reach with the body.</source>
        <translation>In das hintere Bein setzen, nicht mit dem Körper greifen.</translation>
    </message>
    <message>
        <source>Sit onto one foot with the other ahead on its toe, fold a little at the hips and let one hand sink straight down before the front knee; come up again.</source>
        <translation>Auf einen Fuß setzen, der andere vorn auf der Zehe, ein wenig in der Hüfte falten und eine Hand gerade vor dem vorderen Knie hinabsinken lassen; wieder hochkommen.</translation>
    </message>
    <message>
        <source>Sit onto one foot with the other ahead on its toe; one palm goes forward at the height of the heart while the other is drawn to the belly.</source>
        <translation>Auf einen Fuß setzen, der andere vorn auf der Zehe; eine Handfläche geht in Herzhöhe nach vorn, während die andere zum Bauch gezogen wird.</translation>
    </message>
    <message>
        <source>Slide down behind the legs</source>
        <translation>Hinter den Beinen hinabgleiten</translation>
    </message>
    <message>
        <source>Slide only as far as the back stays easy.</source>
        <translation>Nur so weit gleiten, wie der Rücken leicht bleibt.</translation>
    </message>
    <message>
        <source>Slow and low: the height comes by itself.</source>
        <translation>Langsam und tief: die Höhe kommt von selbst.</translation>
    </message>
    <message>
        <source>Slow enough to feel every place of it.</source>
        <translation>Langsam genug, um jede Stelle zu spüren.</translation>
    </message>
    <message>
        <source>Smaller forward</source>
        <translation>Kleiner vor</translation>
    </message>
    <message>
        <source>Soft Heel Drops</source>
        <translation>Weiches Fersenfallen</translation>
    </message>
    <message>
        <source>Standing upright the eyes travel round to the back while both arms turn outward beside the hips; on the way back they turn in again.</source>
        <translation>Aufrecht stehend wandern die Augen nach hinten, während beide Arme neben der Hüfte nach außen drehen; auf dem Rückweg drehen sie wieder ein.</translation>
    </message>
    <message>
        <source>Step Back and Push</source>
        <translation>Zurücktreten und schieben</translation>
    </message>
    <message>
        <source>Step back toe first, sit onto the back foot and let the hand of the front side push forward as the other is drawn to the hip; then the same way forward again.</source>
        <translation>Mit der Zehe zuerst zurücktreten, auf den hinteren Fuß setzen und die Hand der vorderen Seite nach vorn schieben lassen, während die andere zur Hüfte gezogen wird; dann auf demselben Weg wieder vor.</translation>
    </message>
    <message>
        <source>Step into a bow stance; one hand rises before the brow while the other goes forward from the heart, both opening from the back; sit back and return.</source>
        <translation>Ein Schritt in den Bogenstand; eine Hand steigt vor die Stirn, während die andere vom Herzen nach vorn geht, beide öffnen aus dem Rücken; zurücksetzen und zurückkehren.</translation>
    </message>
    <message>
        <source>Step into a long stance and let both arms open wide to the sides as the weight comes forward; gather them again sitting back.</source>
        <translation>Ein Schritt in einen langen Stand, beide Arme öffnen sich weit zu den Seiten, wenn das Gewicht nach vorn kommt; beim Zurücksetzen wieder sammeln.</translation>
    </message>
    <message>
        <source>Stroke a cat from its neck to its tail.</source>
        <translation>Streich eine Katze vom Nacken bis zum Schwanz.</translation>
    </message>
    <message>
        <source>Sway from the Horse</source>
        <translation>Wiegen aus dem Reiterstand</translation>
    </message>
    <message>
        <source>Swing back through the middle</source>
        <translation>Durch die Mitte zurückschwingen</translation>
    </message>
    <message>
        <source>The arm clings to the body</source>
        <translation>Der Arm klebt am Körper</translation>
    </message>
    <message>
        <source>The arms arrive last.</source>
        <translation>Die Arme kommen zuletzt an.</translation>
    </message>
    <message>
        <source>The arms float forward and the upper back rounds; they open to the sides and the chest widens; then all comes back to the middle.</source>
        <translation>Die Arme schweben nach vorn und der obere Rücken rundet sich; sie öffnen sich zu den Seiten und die Brust wird weit; dann kommt alles zur Mitte zurück.</translation>
    </message>
    <message>
        <source>The arms go high at one side, then at the other.</source>
        <translation>Die Arme gehen erst an einer Seite hoch, dann an der anderen.</translation>
    </message>
    <message>
        <source>The back foot is open too far</source>
        <translation>Der hintere Fuß ist zu weit geöffnet</translation>
    </message>
    <message>
        <source>The back foot is open too little</source>
        <translation>Der hintere Fuß ist zu wenig geöffnet</translation>
    </message>
    <message>
        <source>The back knee is locked</source>
        <translation>Das hintere Knie ist durchgedrückt</translation>
    </message>
    <message>
        <source>The ball keeps its size.</source>
        <translation>Der Ball behält seine Größe.</translation>
    </message>
    <message>
        <source>The ball of the foot lands first in the side step</source>
        <translation>Im Seitschritt setzt der Ballen zuerst auf</translation>
    </message>
    <message>
        <source>The bend goes beyond what is easy</source>
        <translation>Die Beuge geht über das Leichte hinaus</translation>
    </message>
    <message>
        <source>The body leaves its base</source>
        <translation>Der Körper verlässt seine Basis</translation>
    </message>
    <message>
        <source>The body rises and sinks with the circle.</source>
        <translation>Der Körper steigt und sinkt mit dem Kreis.</translation>
    </message>
    <message>
        <source>The body rises on the way</source>
        <translation>Der Körper steigt unterwegs</translation>
    </message>
    <message>
        <source>The body sinks on the way</source>
        <translation>Der Körper sinkt unterwegs</translation>
    </message>
    <message>
        <source>The body turns over a foot that stays</source>
        <translation>Der Körper dreht über einem Fuß, der stehen bleibt</translation>
    </message>
    <message>
        <source>The breath comes after the movement</source>
        <translation>Der Atem kommt nach der Bewegung</translation>
    </message>
    <message>
        <source>The breath comes before the movement</source>
        <translation>Der Atem kommt vor der Bewegung</translation>
    </message>
    <message>
        <source>The chin sinks, the eyes travel along the floor to one side and up to the shoulder line, and the same way back; never over the back of the neck.</source>
        <translation>Das Kinn sinkt, die Augen wandern am Boden zu einer Seite und hinauf zur Schulterlinie, und denselben Weg zurück; nie über den Nacken.</translation>
    </message>
    <message>
        <source>The circle is drawn by the feet and the waist.</source>
        <translation>Den Kreis ziehen die Füße und die Taille.</translation>
    </message>
    <message>
        <source>The elbow is lifted</source>
        <translation>Der Ellbogen ist angehoben</translation>
    </message>
    <message>
        <source>The elbow is locked</source>
        <translation>Der Ellbogen ist durchgestreckt</translation>
    </message>
    <message>
        <source>The eyes go first, the arms open with them.</source>
        <translation>Die Augen gehen zuerst, die Arme öffnen mit ihnen.</translation>
    </message>
    <message>
        <source>The eyes run ahead of the hand</source>
        <translation>Die Augen laufen der Hand voraus</translation>
    </message>
    <message>
        <source>The eyes stay behind the hand</source>
        <translation>Die Augen bleiben hinter der Hand zurück</translation>
    </message>
    <message>
        <source>The feet carry the ball, the arms only hold it.</source>
        <translation>Die Füße tragen den Ball, die Arme halten ihn nur.</translation>
    </message>
    <message>
        <source>The feet move during the hold</source>
        <translation>Die Füße bewegen sich während des Haltens</translation>
    </message>
    <message>
        <source>The feet stand on one line, with no channel between them</source>
        <translation>Die Füße stehen auf einer Linie, ohne Spur dazwischen</translation>
    </message>
    <message>
        <source>The feet stand too close together</source>
        <translation>Die Füße stehen zu eng</translation>
    </message>
    <message>
        <source>The feet stand too far apart</source>
        <translation>Die Füße stehen zu weit</translation>
    </message>
    <message>
        <source>The foot comes back to another place</source>
        <translation>Der Fuß kommt an eine andere Stelle zurück</translation>
    </message>
    <message>
        <source>The foot lands with weight on it</source>
        <translation>Der Fuß setzt mit Gewicht auf</translation>
    </message>
    <message>
        <source>The foot leaves the floor all at once</source>
        <translation>Der Fuß verlässt den Boden auf einmal</translation>
    </message>
    <message>
        <source>The foot points in too far</source>
        <translation>Der Fuß zeigt zu weit nach innen</translation>
    </message>
    <message>
        <source>The foot points out too far</source>
        <translation>Der Fuß zeigt zu weit nach außen</translation>
    </message>
    <message>
        <source>The foot turns with weight on it</source>
        <translation>Der Fuß dreht mit Gewicht darauf</translation>
    </message>
    <message>
        <source>The free side of the hips drops</source>
        <translation>Die freie Seite der Hüfte sinkt ab</translation>
    </message>
    <message>
        <source>The front foot points inward</source>
        <translation>Der vordere Fuß zeigt nach innen</translation>
    </message>
    <message>
        <source>The front foot points outward</source>
        <translation>Der vordere Fuß zeigt nach außen</translation>
    </message>
    <message>
        <source>The front foot stands on its toe alone before it leaves.</source>
        <translation>Der vordere Fuß steht nur auf der Zehe, bevor er sich löst.</translation>
    </message>
    <message>
        <source>The front knee is nearly straight</source>
        <translation>Das vordere Knie ist fast gestreckt</translation>
    </message>
    <message>
        <source>The front knee passes its toes</source>
        <translation>Das vordere Knie geht über die Zehen hinaus</translation>
    </message>
    <message>
        <source>The front knee stays behind its toes.</source>
        <translation>Das vordere Knie bleibt hinter den Zehen.</translation>
    </message>
    <message>
        <source>The front leg takes too little of the weight</source>
        <translation>Das vordere Bein nimmt zu wenig Gewicht</translation>
    </message>
    <message>
        <source>The front leg takes too much of the weight</source>
        <translation>Das vordere Bein nimmt zu viel Gewicht</translation>
    </message>
    <message>
        <source>The gaze goes with the fold.</source>
        <translation>Der Blick geht mit der Faltung.</translation>
    </message>
    <message>
        <source>The gaze goes with the head.</source>
        <translation>Der Blick geht mit dem Kopf.</translation>
    </message>
    <message>
        <source>The gaze is higher than asked</source>
        <translation>Der Blick ist höher als verlangt</translation>
    </message>
    <message>
        <source>The gaze is lower than asked</source>
        <translation>Der Blick ist tiefer als verlangt</translation>
    </message>
    <message>
        <source>The gaze travels along the floor.</source>
        <translation>Der Blick wandert am Boden entlang.</translation>
    </message>
    <message>
        <source>The half circle is made of a nod with a turn, small and slow.</source>
        <translation>Der halbe Kreis besteht aus Nicken mit Drehen, klein und langsam.</translation>
    </message>
    <message>
        <source>The hand is too high</source>
        <translation>Die Hand ist zu hoch</translation>
    </message>
    <message>
        <source>The hand is too low</source>
        <translation>Die Hand ist zu tief</translation>
    </message>
    <message>
        <source>The hand lags behind the breastbone</source>
        <translation>Die Hand bleibt hinter dem Brustbein zurück</translation>
    </message>
    <message>
        <source>The hand runs ahead of the breastbone</source>
        <translation>Die Hand läuft dem Brustbein voraus</translation>
    </message>
    <message>
        <source>The hand sinks, the trunk stays upright.</source>
        <translation>Die Hand sinkt, der Rumpf bleibt aufrecht.</translation>
    </message>
    <message>
        <source>The hands change before the waist has arrived</source>
        <translation>Die Hände wechseln, bevor die Taille angekommen ist</translation>
    </message>
    <message>
        <source>The hands come together on the tool</source>
        <translation>Die Hände rücken am Gerät zusammen</translation>
    </message>
    <message>
        <source>The hands rise no higher than the brow.</source>
        <translation>Die Hände steigen nicht höher als die Stirn.</translation>
    </message>
    <message>
        <source>The hands sink or climb during the hold</source>
        <translation>Die Hände sinken oder steigen während des Haltens</translation>
    </message>
    <message>
        <source>The hands slide apart on the tool</source>
        <translation>Die Hände rutschen am Gerät auseinander</translation>
    </message>
    <message>
        <source>The hands slide from the low back down behind the legs as the trunk folds, come round to the front, and the trunk rises flat-backed with the arms beside the ears.</source>
        <translation>Die Hände gleiten vom unteren Rücken hinter den Beinen hinab, während der Rumpf sich faltet, kommen nach vorn, und der Rumpf richtet sich mit flachem Rücken auf, die Arme neben den Ohren.</translation>
    </message>
    <message>
        <source>The hands start before the waist</source>
        <translation>Die Hände beginnen vor der Taille</translation>
    </message>
    <message>
        <source>The hands stay low, the step is the same.</source>
        <translation>Die Hände bleiben tief, der Schritt ist derselbe.</translation>
    </message>
    <message>
        <source>The head comes up before the back</source>
        <translation>Der Kopf kommt vor dem Rücken hoch</translation>
    </message>
    <message>
        <source>The head goes with the back, it is not thrown.</source>
        <translation>Der Kopf geht mit dem Rücken, er wird nicht geworfen.</translation>
    </message>
    <message>
        <source>The head goes with the upper back.</source>
        <translation>Der Kopf geht mit dem oberen Rücken.</translation>
    </message>
    <message>
        <source>The head is ahead of the shoulders</source>
        <translation>Der Kopf ist vor den Schultern</translation>
    </message>
    <message>
        <source>The head sinks and turns on purpose.</source>
        <translation>Der Kopf sinkt und dreht mit Absicht.</translation>
    </message>
    <message>
        <source>The head tips to the left</source>
        <translation>Der Kopf kippt nach links</translation>
    </message>
    <message>
        <source>The head tips to the right</source>
        <translation>Der Kopf kippt nach rechts</translation>
    </message>
    <message>
        <source>The heel lands before the ball of the foot</source>
        <translation>Die Ferse setzt vor dem Ballen auf</translation>
    </message>
    <message>
        <source>The heel lands first in the side step</source>
        <translation>Im Seitschritt setzt die Ferse zuerst auf</translation>
    </message>
    <message>
        <source>The heel leaves the floor</source>
        <translation>Die Ferse verlässt den Boden</translation>
    </message>
    <message>
        <source>The heel rises too high</source>
        <translation>Die Ferse hebt sich zu hoch</translation>
    </message>
    <message>
        <source>The heel rises too little</source>
        <translation>Die Ferse hebt sich zu wenig</translation>
    </message>
    <message>
        <source>The heels lift the body a little.</source>
        <translation>Die Fersen heben den Körper ein wenig.</translation>
    </message>
    <message>
        <source>The heels rise a little and drop at once, lightly and often, so that the whole body is shaken loose; the knees give.</source>
        <translation>Die Fersen heben sich ein wenig und fallen gleich wieder, leicht und oft, sodass der ganze Körper locker geschüttelt wird; die Knie geben nach.</translation>
    </message>
    <message>
        <source>The height changes during the hold</source>
        <translation>Die Höhe ändert sich während des Haltens</translation>
    </message>
    <message>
        <source>The hips turn along with the waist</source>
        <translation>Die Hüfte dreht mit der Taille mit</translation>
    </message>
    <message>
        <source>The hips turn while a foot is in the air</source>
        <translation>Die Hüfte dreht, während ein Fuß in der Luft ist</translation>
    </message>
    <message>
        <source>The hold is too long</source>
        <translation>Das Halten ist zu lang</translation>
    </message>
    <message>
        <source>The hold is too short</source>
        <translation>Das Halten ist zu kurz</translation>
    </message>
    <message>
        <source>The hook stays low-shouldered and does not go behind the back.</source>
        <translation>Der Haken bleibt mit tiefer Schulter und geht nicht hinter den Rücken.</translation>
    </message>
    <message>
        <source>The knee bends deeper than it can carry</source>
        <translation>Das Knie beugt tiefer, als es tragen kann</translation>
    </message>
    <message>
        <source>The knee does not open as the stance asks</source>
        <translation>Das Knie öffnet sich nicht, wie der Stand es verlangt</translation>
    </message>
    <message>
        <source>The knee falls in</source>
        <translation>Das Knie fällt nach innen</translation>
    </message>
    <message>
        <source>The knee is locked under load</source>
        <translation>Das Knie ist unter Last durchgedrückt</translation>
    </message>
    <message>
        <source>The knee is nearly straight</source>
        <translation>Das Knie ist fast gestreckt</translation>
    </message>
    <message>
        <source>The knee leaves the line of its toes</source>
        <translation>Das Knie verlässt die Linie der Zehen</translation>
    </message>
    <message>
        <source>The knee wanders while the waist turns</source>
        <translation>Das Knie wandert, während die Taille dreht</translation>
    </message>
    <message>
        <source>The knees are straight in the bend</source>
        <translation>Die Knie sind in der Beuge gestreckt</translation>
    </message>
    <message>
        <source>The knees bounce, the heels stay where they are.</source>
        <translation>Die Knie wippen, die Fersen bleiben, wo sie sind.</translation>
    </message>
    <message>
        <source>The knees come together</source>
        <translation>Die Knie kommen zusammen</translation>
    </message>
    <message>
        <source>The knees stay over the toes while the trunk goes.</source>
        <translation>Die Knie bleiben über den Zehen, während der Rumpf geht.</translation>
    </message>
    <message>
        <source>The knees stay over the toes, however far the waist goes.</source>
        <translation>Die Knie bleiben über den Zehen, wie weit die Taille auch geht.</translation>
    </message>
    <message>
        <source>The last small wave</source>
        <translation>Die letzte kleine Welle</translation>
    </message>
    <message>
        <source>The left foot carries more than the right</source>
        <translation>Der linke Fuß trägt mehr als der rechte</translation>
    </message>
    <message>
        <source>The left foot turns out more than the right</source>
        <translation>Der linke Fuß dreht weiter aus als der rechte</translation>
    </message>
    <message>
        <source>The left hip is lower than the right</source>
        <translation>Die linke Hüfte ist tiefer als die rechte</translation>
    </message>
    <message>
        <source>The left shoulder is higher than the right</source>
        <translation>Die linke Schulter ist höher als die rechte</translation>
    </message>
    <message>
        <source>The left sitting bone carries less</source>
        <translation>Der linke Sitzknochen trägt weniger</translation>
    </message>
    <message>
        <source>The low back is hollow</source>
        <translation>Der untere Rücken ist hohl</translation>
    </message>
    <message>
        <source>The low back is tucked under</source>
        <translation>Der untere Rücken ist eingerollt</translation>
    </message>
    <message>
        <source>The movement halts</source>
        <translation>Die Bewegung stockt</translation>
    </message>
    <message>
        <source>The movement is made of a bend with a turn, small and slow.</source>
        <translation>Die Bewegung besteht aus Beugen mit Drehen, klein und langsam.</translation>
    </message>
    <message>
        <source>The other foot leaves before the weight has arrived</source>
        <translation>Der andere Fuß löst sich, bevor das Gewicht angekommen ist</translation>
    </message>
    <message>
        <source>The other hand goes forward than the one named</source>
        <translation>Die andere Hand geht vor als die genannte</translation>
    </message>
    <message>
        <source>The out-breath is held too long</source>
        <translation>Das Ausatmen dauert zu lange</translation>
    </message>
    <message>
        <source>The out-breath is shorter than the in-breath</source>
        <translation>Das Ausatmen ist kürzer als das Einatmen</translation>
    </message>
    <message>
        <source>The palm faces down too far</source>
        <translation>Die Handfläche zeigt zu weit nach unten</translation>
    </message>
    <message>
        <source>The palm faces up too far</source>
        <translation>Die Handfläche zeigt zu weit nach oben</translation>
    </message>
    <message>
        <source>The palms push out at both sides, fingers up, as against two walls; the heels rise a little with them and sink as the arms come back.</source>
        <translation>Die Handflächen drücken zu beiden Seiten hinaus, Finger nach oben, wie gegen zwei Wände; die Fersen heben sich ein wenig mit und sinken, wenn die Arme zurückkommen.</translation>
    </message>
    <message>
        <source>The palms stay on one level.</source>
        <translation>Die Handflächen bleiben auf einer Höhe.</translation>
    </message>
    <message>
        <source>The pause at the top is too long</source>
        <translation>Die Pause oben ist zu lang</translation>
    </message>
    <message>
        <source>The pause at the top is too short</source>
        <translation>Die Pause oben ist zu kurz</translation>
    </message>
    <message>
        <source>The pelvis stays where it is.</source>
        <translation>Das Becken bleibt, wo es ist.</translation>
    </message>
    <message>
        <source>The planted foot slides</source>
        <translation>Der stehende Fuß rutscht</translation>
    </message>
    <message>
        <source>The raised elbow stays heavy.</source>
        <translation>Der gehobene Ellbogen bleibt schwer.</translation>
    </message>
    <message>
        <source>The repetitions differ in length</source>
        <translation>Die Wiederholungen sind verschieden lang</translation>
    </message>
    <message>
        <source>The right foot carries more than the left</source>
        <translation>Der rechte Fuß trägt mehr als der linke</translation>
    </message>
    <message>
        <source>The right foot turns out more than the left</source>
        <translation>Der rechte Fuß dreht weiter aus als der linke</translation>
    </message>
    <message>
        <source>The right hip is lower than the left</source>
        <translation>Die rechte Hüfte ist tiefer als die linke</translation>
    </message>
    <message>
        <source>The right shoulder is higher than the left</source>
        <translation>Die rechte Schulter ist höher als die linke</translation>
    </message>
    <message>
        <source>The right sitting bone carries less</source>
        <translation>Der rechte Sitzknochen trägt weniger</translation>
    </message>
    <message>
        <source>The roll begins too high in the back</source>
        <translation>Das Rollen beginnt zu hoch im Rücken</translation>
    </message>
    <message>
        <source>The same small bounce with the heels on the floor.</source>
        <translation>Dasselbe kleine Wippen mit den Fersen am Boden.</translation>
    </message>
    <message>
        <source>The shift halts on its way</source>
        <translation>Die Verlagerung stockt unterwegs</translation>
    </message>
    <message>
        <source>The shift is faster than the rest</source>
        <translation>Die Verlagerung ist schneller als der Rest</translation>
    </message>
    <message>
        <source>The shift is hurried</source>
        <translation>Die Verlagerung ist gehetzt</translation>
    </message>
    <message>
        <source>The shoulder blades slide apart and together.</source>
        <translation>Die Schulterblätter gleiten auseinander und zusammen.</translation>
    </message>
    <message>
        <source>The shoulder is drawn up</source>
        <translation>Die Schulter ist hochgezogen</translation>
    </message>
    <message>
        <source>The sink goes beyond what is easy</source>
        <translation>Das Sinken geht über das Leichte hinaus</translation>
    </message>
    <message>
        <source>The sink is too deep</source>
        <translation>Das Sinken ist zu tief</translation>
    </message>
    <message>
        <source>The sink is too shallow</source>
        <translation>Das Sinken ist zu flach</translation>
    </message>
    <message>
        <source>The soles feel where the weight is.</source>
        <translation>Die Sohlen spüren, wo das Gewicht ist.</translation>
    </message>
    <message>
        <source>The staff comes too near the body</source>
        <translation>Der Stock kommt dem Körper zu nahe</translation>
    </message>
    <message>
        <source>The staff points too far to the left</source>
        <translation>Der Stock zeigt zu weit nach links</translation>
    </message>
    <message>
        <source>The staff points too far to the right</source>
        <translation>Der Stock zeigt zu weit nach rechts</translation>
    </message>
    <message>
        <source>The standing knee is too straight</source>
        <translation>Das Standknie ist zu gestreckt</translation>
    </message>
    <message>
        <source>The standing leg sags</source>
        <translation>Das Standbein sinkt ein</translation>
    </message>
    <message>
        <source>The step is too long</source>
        <translation>Der Schritt ist zu lang</translation>
    </message>
    <message>
        <source>The step is too short</source>
        <translation>Der Schritt ist zu kurz</translation>
    </message>
    <message>
        <source>The steps drift to the left</source>
        <translation>Die Schritte weichen nach links ab</translation>
    </message>
    <message>
        <source>The steps drift to the right</source>
        <translation>Die Schritte weichen nach rechts ab</translation>
    </message>
    <message>
        <source>The swing breaks off and begins again</source>
        <translation>Das Schwingen bricht ab und beginnt neu</translation>
    </message>
    <message>
        <source>The swing changes its time</source>
        <translation>Das Schwingen ändert sein Zeitmaß</translation>
    </message>
    <message>
        <source>The toes land before the heel</source>
        <translation>Die Zehen setzen vor der Ferse auf</translation>
    </message>
    <message>
        <source>The trunk bends and twists at once</source>
        <translation>Der Rumpf beugt und dreht zugleich</translation>
    </message>
    <message>
        <source>The trunk folds to one side on purpose.</source>
        <translation>Der Rumpf faltet sich mit Absicht zur Seite.</translation>
    </message>
    <message>
        <source>The trunk leans back</source>
        <translation>Der Rumpf lehnt nach hinten</translation>
    </message>
    <message>
        <source>The trunk leans forward</source>
        <translation>Der Rumpf lehnt nach vorn</translation>
    </message>
    <message>
        <source>The trunk tips during the hold</source>
        <translation>Der Rumpf kippt während des Haltens</translation>
    </message>
    <message>
        <source>The trunk tips to the left</source>
        <translation>Der Rumpf kippt nach links</translation>
    </message>
    <message>
        <source>The trunk tips to the right</source>
        <translation>Der Rumpf kippt nach rechts</translation>
    </message>
    <message>
        <source>The twist goes beyond what is easy</source>
        <translation>Die Drehung geht über das Leichte hinaus</translation>
    </message>
    <message>
        <source>The upper back is pulled straight</source>
        <translation>Der obere Rücken ist gerade gezogen</translation>
    </message>
    <message>
        <source>The upper back rounds</source>
        <translation>Der obere Rücken rundet sich</translation>
    </message>
    <message>
        <source>The upper back rounds and opens on purpose.</source>
        <translation>Der obere Rücken rundet und öffnet sich mit Absicht.</translation>
    </message>
    <message>
        <source>The waist starts before the arms</source>
        <translation>Die Taille beginnt vor den Armen</translation>
    </message>
    <message>
        <source>The waist starts before the feet</source>
        <translation>Die Taille beginnt vor den Füßen</translation>
    </message>
    <message>
        <source>The wave grows small by itself, it is not stopped.</source>
        <translation>Die Welle wird von selbst klein, sie wird nicht angehalten.</translation>
    </message>
    <message>
        <source>The weight comes before the foot is flat</source>
        <translation>Das Gewicht kommt, bevor der Fuß flach steht</translation>
    </message>
    <message>
        <source>The weight does not arrive on one side</source>
        <translation>Das Gewicht kommt auf keiner Seite an</translation>
    </message>
    <message>
        <source>The weight draws the circle.</source>
        <translation>Das Gewicht zieht den Kreis.</translation>
    </message>
    <message>
        <source>The weight goes across too far</source>
        <translation>Das Gewicht geht zu weit hinüber</translation>
    </message>
    <message>
        <source>The weight hangs in the heels</source>
        <translation>Das Gewicht hängt in den Fersen</translation>
    </message>
    <message>
        <source>The weight is too far forward over the feet</source>
        <translation>Das Gewicht liegt zu weit vorn über den Füßen</translation>
    </message>
    <message>
        <source>The weight pours onto one foot, the other knee rises, the heel goes slowly forward, no higher than the knee, as both arms open; fold it back and set it down.</source>
        <translation>Das Gewicht fließt auf einen Fuß, das andere Knie steigt, die Ferse geht langsam nach vorn, nicht höher als das Knie, während beide Arme sich öffnen; zurückfalten und absetzen.</translation>
    </message>
    <message>
        <source>The weight stays in the back leg.</source>
        <translation>Das Gewicht bleibt im hinteren Bein.</translation>
    </message>
    <message>
        <source>The weight wanders during the hold</source>
        <translation>Das Gewicht wandert während des Haltens</translation>
    </message>
    <message>
        <source>The wheel of a water mill.</source>
        <translation>Das Rad einer Wassermühle.</translation>
    </message>
    <message>
        <source>This end of the staff is too high</source>
        <translation>Dieses Ende des Stocks ist zu hoch</translation>
    </message>
    <message>
        <source>This end of the staff is too low</source>
        <translation>Dieses Ende des Stocks ist zu tief</translation>
    </message>
    <message>
        <source>Through below</source>
        <translation>Unten hindurch</translation>
    </message>
    <message>
        <source>Turn and gather the hook</source>
        <translation>Drehen und den Haken sammeln</translation>
    </message>
    <message>
        <source>Turn and open the arms</source>
        <translation>Drehen und die Arme öffnen</translation>
    </message>
    <message>
        <source>Turn both arms out and in beside the hips, eyes ahead.</source>
        <translation>Beide Arme neben der Hüfte aus- und eindrehen, Augen nach vorn.</translation>
    </message>
    <message>
        <source>Up along one side</source>
        <translation>An einer Seite hinauf</translation>
    </message>
    <message>
        <source>Upright</source>
        <translation>Aufrecht</translation>
    </message>
    <message>
        <source>Water in a bucket that has been set down.</source>
        <translation>Wasser in einem Eimer, der abgestellt wurde.</translation>
    </message>
    <message>
        <source>Wave forward</source>
        <translation>Welle vor</translation>
    </message>
    <message>
        <source>Wipe a round table with one cloth.</source>
        <translation>Wisch einen runden Tisch mit einem Tuch.</translation>
    </message>
    <message>
        <source>Wring out a wet cloth, and let it go.</source>
        <translation>Wring ein nasses Tuch aus und lass es los.</translation>
    </message>
    <message>
        <source>and back</source>
        <translation>und zurück</translation>
    </message>
    <message>
        <source>and drop</source>
        <translation>und fallen lassen</translation>
    </message>
    <message>
        <source>smaller back</source>
        <translation>kleiner zurück</translation>
    </message>
    <message>
        <source>Chin alone</source>
        <translation>Nur das Kinn</translation>
    </message>
    <message>
        <source>Only let the chin sink and come up again.</source>
        <translation>Nur das Kinn sinken und wieder hochkommen lassen.</translation>
    </message>
    <message>
        <source>A saucer under each knee.</source>
        <translation>Eine Untertasse unter jedem Knie.</translation>
    </message>
    <message>
        <source>A screw that goes into wood.</source>
        <translation>Eine Schraube, die ins Holz geht.</translation>
    </message>
    <message>
        <source>A swimmer who dips under a rope.</source>
        <translation>Ein Schwimmer, der unter einem Seil durchtaucht.</translation>
    </message>
    <message>
        <source>A wet cloth that is wrung out and dropped.</source>
        <translation>Ein nasses Tuch, das ausgewrungen und fallen gelassen wird.</translation>
    </message>
    <message>
        <source>Across the body</source>
        <translation>Quer vor dem Körper</translation>
    </message>
    <message>
        <source>All at once, and all off at once.</source>
        <translation>Alles auf einmal, und alles auf einmal wieder los.</translation>
    </message>
    <message>
        <source>Arms in Counter-Direction</source>
        <translation>Arme gegeneinander</translation>
    </message>
    <message>
        <source>As small as a saucer, and unloaded: the hands carry the trunk.</source>
        <translation>So klein wie eine Untertasse und entlastet: die Hände tragen den Rumpf.</translation>
    </message>
    <message>
        <source>As the back rounds the ears come down beside the shoulders.</source>
        <translation>Wenn der Rücken rund wird, kommen die Ohren neben die Schultern.</translation>
    </message>
    <message>
        <source>Before the chest both hands draw small round circles: out, up, in and down, led by the wrists; the shoulders stay low.</source>
        <translation>Vor der Brust zeichnen beide Hände kleine runde Kreise: nach außen, oben, innen und unten, geführt von den Handgelenken; die Schultern bleiben tief.</translation>
    </message>
    <message>
        <source>Bend and straighten</source>
        <translation>Beugen und strecken</translation>
    </message>
    <message>
        <source>Both arms arrive at the same moment.</source>
        <translation>Beide Arme kommen im selben Moment an.</translation>
    </message>
    <message>
        <source>Both hands on the hips: only the turn.</source>
        <translation>Beide Hände an der Hüfte: nur die Drehung.</translation>
    </message>
    <message>
        <source>Brace and Release</source>
        <translation>Anspannen und loslassen</translation>
    </message>
    <message>
        <source>Circle one hand and rest the other on its forearm.</source>
        <translation>Eine Hand kreist, die andere ruht auf ihrem Unterarm.</translation>
    </message>
    <message>
        <source>Close the fists and let them open again; nothing else.</source>
        <translation>Die Fäuste schließen und wieder aufgehen lassen; sonst nichts.</translation>
    </message>
    <message>
        <source>Draw it home</source>
        <translation>Zurückziehen</translation>
    </message>
    <message>
        <source>Feet a fist apart, hands on the thighs above the knees, weight light: both knees draw a small circle over the feet, out, back, in and forward.</source>
        <translation>Füße eine Faust breit, Hände auf den Oberschenkeln über den Knien, wenig Gewicht: beide Knie zeichnen einen kleinen Kreis über den Füßen, nach außen, hinten, innen und vorn.</translation>
    </message>
    <message>
        <source>Firm, from the feet up</source>
        <translation>Fest werden, von den Füßen an</translation>
    </message>
    <message>
        <source>Firmness for a moment is the exercise; it asks no range.</source>
        <translation>Festigkeit für einen Moment ist die Übung; sie verlangt keine Weite.</translation>
    </message>
    <message>
        <source>Forward and bent</source>
        <translation>Nach vorn und gebeugt</translation>
    </message>
    <message>
        <source>Half the circle, knees nearly straight.</source>
        <translation>Der halbe Kreis, die Knie fast gestreckt.</translation>
    </message>
    <message>
        <source>Half the way</source>
        <translation>Der halbe Weg</translation>
    </message>
    <message>
        <source>Half the way; nothing is forced.</source>
        <translation>Der halbe Weg; nichts wird erzwungen.</translation>
    </message>
    <message>
        <source>Hands on the hips: breastbone forward and back.</source>
        <translation>Hände an der Hüfte: das Brustbein vor und zurück.</translation>
    </message>
    <message>
        <source>Hands on the hips: turn the waist to the diagonal and back, knees quiet.</source>
        <translation>Hände an der Hüfte: die Taille zur Diagonale drehen und zurück, die Knie ruhig.</translation>
    </message>
    <message>
        <source>Hands on the thighs: bend both knees a little and come up again.</source>
        <translation>Hände auf den Oberschenkeln: beide Knie ein wenig beugen und wieder hochkommen.</translation>
    </message>
    <message>
        <source>Hands only</source>
        <translation>Nur die Hände</translation>
    </message>
    <message>
        <source>In a horse stance the waist turns and one fist spirals out across the body to the diagonal; it is drawn back as the waist comes home.</source>
        <translation>Im Reiterstand dreht die Taille, und eine Faust schraubt sich quer vor dem Körper zur Diagonale hinaus; sie kommt zurück, wenn die Taille heimkehrt.</translation>
    </message>
    <message>
        <source>Keep it</source>
        <translation>Halten</translation>
    </message>
    <message>
        <source>Let it all drop</source>
        <translation>Alles fallen lassen</translation>
    </message>
    <message>
        <source>On the front of a chair, feet flat and hip-wide: the same with the trunk, smaller.</source>
        <translation>Vorn auf dem Stuhl, Füße flach und hüftbreit: dasselbe mit dem Rumpf, kleiner.</translation>
    </message>
    <message>
        <source>On the in-breath everything firms at once, fists pressed out at the sides and the crown long; on the out-breath all of it lets go and the knees give.</source>
        <translation>Mit dem Einatmen wird alles auf einmal fest, die Fäuste drücken seitlich hinaus, der Scheitel wird lang; mit dem Ausatmen lässt alles los, und die Knie geben nach.</translation>
    </message>
    <message>
        <source>One arm</source>
        <translation>Ein Arm</translation>
    </message>
    <message>
        <source>One arm floats forward to shoulder height while the other sinks back behind the hip; at their ends they change over, and the trunk stays between them.</source>
        <translation>Ein Arm schwebt nach vorn auf Schulterhöhe, während der andere hinter die Hüfte sinkt; am Ende wechseln sie, und der Rumpf bleibt dazwischen.</translation>
    </message>
    <message>
        <source>One arm forward and down; the other rests on the belly.</source>
        <translation>Ein Arm nach vorn und wieder hinab; der andere ruht auf dem Bauch.</translation>
    </message>
    <message>
        <source>One forward, one back</source>
        <translation>Einer vor, einer zurück</translation>
    </message>
    <message>
        <source>One hand rests at the hip; the other winds from the belly across the body, up and out to the side, and sinks back along the rib; the waist leads all of it.</source>
        <translation>Eine Hand ruht an der Hüfte; die andere windet sich vom Bauch quer vor dem Körper hinauf und zur Seite hinaus und sinkt an den Rippen zurück; alles führt die Taille.</translation>
    </message>
    <message>
        <source>One-Arm Spiral</source>
        <translation>Spirale mit einem Arm</translation>
    </message>
    <message>
        <source>Only the breastbone</source>
        <translation>Nur das Brustbein</translation>
    </message>
    <message>
        <source>Outward</source>
        <translation>Nach außen</translation>
    </message>
    <message>
        <source>Punches on the Diagonal</source>
        <translation>Fauststöße zur Diagonale</translation>
    </message>
    <message>
        <source>Reverse Wave</source>
        <translation>Umgekehrte Welle</translation>
    </message>
    <message>
        <source>Seven tenths of your strength, no more.</source>
        <translation>Sieben Zehntel der Kraft, nicht mehr.</translation>
    </message>
    <message>
        <source>Silk that is drawn from a cocoon.</source>
        <translation>Seide, die vom Kokon gezogen wird.</translation>
    </message>
    <message>
        <source>Sink along the rib</source>
        <translation>An den Rippen sinken</translation>
    </message>
    <message>
        <source>Small Knee Circles</source>
        <translation>Kleine Kniekreise</translation>
    </message>
    <message>
        <source>Small and round; no corner in it.</source>
        <translation>Klein und rund, ohne Ecke.</translation>
    </message>
    <message>
        <source>Small: a hand&apos;s breadth is enough.</source>
        <translation>Klein: eine Handbreit genügt.</translation>
    </message>
    <message>
        <source>Smaller</source>
        <translation>Kleiner</translation>
    </message>
    <message>
        <source>Spiral out to the diagonal</source>
        <translation>Zur Diagonale hinausschrauben</translation>
    </message>
    <message>
        <source>The back arches and rounds part by part.</source>
        <translation>Der Rücken wölbt und rundet sich Stück für Stück.</translation>
    </message>
    <message>
        <source>The back rounds after it</source>
        <translation>Der Rücken rundet sich danach</translation>
    </message>
    <message>
        <source>The belly button looks ahead all the while.</source>
        <translation>Der Nabel schaut die ganze Zeit nach vorn.</translation>
    </message>
    <message>
        <source>The circle is small on purpose; it asks no range.</source>
        <translation>Der Kreis ist mit Absicht klein; er verlangt keine Weite.</translation>
    </message>
    <message>
        <source>The circle sinks and rises a little.</source>
        <translation>Der Kreis sinkt und steigt ein wenig.</translation>
    </message>
    <message>
        <source>The face goes first, on a long neck.</source>
        <translation>Das Gesicht geht voran, auf langem Hals.</translation>
    </message>
    <message>
        <source>The face leads</source>
        <translation>Das Gesicht führt</translation>
    </message>
    <message>
        <source>The face leads forward and a little up, then the breastbone, then the belly; the back rounds after them and straightens from the top: the spine wave the other way round.</source>
        <translation>Das Gesicht führt nach vorn und ein wenig hinauf, dann das Brustbein, dann der Bauch; der Rücken rundet sich danach und richtet sich von oben auf: die Wirbelsäulenwelle andersherum.</translation>
    </message>
    <message>
        <source>The face leads on purpose.</source>
        <translation>Das Gesicht führt mit Absicht.</translation>
    </message>
    <message>
        <source>The front hand stops at the height of the heart.</source>
        <translation>Die vordere Hand hält auf Herzhöhe an.</translation>
    </message>
    <message>
        <source>The gaze goes with the wave.</source>
        <translation>Der Blick geht mit der Welle.</translation>
    </message>
    <message>
        <source>The gaze rests on the floor ahead.</source>
        <translation>Der Blick ruht vorn auf dem Boden.</translation>
    </message>
    <message>
        <source>The head hangs in line with the leaning back.</source>
        <translation>Der Kopf hängt in Linie mit dem geneigten Rücken.</translation>
    </message>
    <message>
        <source>The heel, the hip, the fist: in this order.</source>
        <translation>Ferse, Hüfte, Faust: in dieser Reihenfolge.</translation>
    </message>
    <message>
        <source>The palm turns all the way, without a stop.</source>
        <translation>Die Handfläche dreht den ganzen Weg, ohne Halt.</translation>
    </message>
    <message>
        <source>The shoulders have nothing to do.</source>
        <translation>Die Schultern haben nichts zu tun.</translation>
    </message>
    <message>
        <source>The soles stay where they are.</source>
        <translation>Die Sohlen bleiben, wo sie sind.</translation>
    </message>
    <message>
        <source>The stance stays as wide and as deep as it was.</source>
        <translation>Der Stand bleibt so breit und so tief, wie er war.</translation>
    </message>
    <message>
        <source>The trunk goes forward and back in this movement.</source>
        <translation>In dieser Bewegung geht der Rumpf vor und zurück.</translation>
    </message>
    <message>
        <source>The trunk leans on the hands.</source>
        <translation>Der Rumpf stützt sich auf die Hände.</translation>
    </message>
    <message>
        <source>The two pans of a balance.</source>
        <translation>Die zwei Schalen einer Waage.</translation>
    </message>
    <message>
        <source>The waist alone</source>
        <translation>Nur die Taille</translation>
    </message>
    <message>
        <source>The waist turns first, the hand comes after.</source>
        <translation>Die Taille dreht zuerst, die Hand kommt nach.</translation>
    </message>
    <message>
        <source>Turn without fists</source>
        <translation>Drehen ohne Fäuste</translation>
    </message>
    <message>
        <source>Two spoons that stir two cups.</source>
        <translation>Zwei Löffel, die zwei Tassen rühren.</translation>
    </message>
    <message>
        <source>Wind up and out</source>
        <translation>Hinauf- und hinauswinden</translation>
    </message>
    <message>
        <source>Wrist Circles</source>
        <translation>Handkreise</translation>
    </message>
    <message>
        <source>and comes up long</source>
        <translation>und kommt lang hoch</translation>
    </message>
    <message>
        <source>and up</source>
        <translation>und hinauf</translation>
    </message>
    <message>
        <source>inward</source>
        <translation>nach innen</translation>
    </message>
    <message>
        <source>then the breastbone</source>
        <translation>dann das Brustbein</translation>
    </message>
</context>
<context>
    <name>fields</name>
    <message>
        <source>name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>movement</source>
        <translation>Bewegung</translation>
    </message>
    <message>
        <source>day of the clip</source>
        <translation>Tag des Clips</translation>
    </message>
    <message>
        <source>day of the next look</source>
        <translation>Tag des nächsten Blicks</translation>
    </message>
    <message>
        <source>my name</source>
        <translation>mein Name</translation>
    </message>
    <message>
        <source>school or hall</source>
        <translation>Schule oder Halle</translation>
    </message>
    <message>
        <source>change of %1</source>
        <translation>Änderung: %1</translation>
    </message>
    <message>
        <source>figure of %1</source>
        <translation>Messwert: %1</translation>
    </message>
    <message>
        <source>%1 (± %2) better since %3</source>
        <translation>%1 (± %2) besser seit dem %3</translation>
    </message>
    <message>
        <source>“%1”: %2</source>
        <translation>„%1“: %2</translation>
    </message>
    <message>
        <source>your name is not given</source>
        <translation>dein Name ist nicht angegeben</translation>
    </message>
    <message>
        <source>no school or hall is given</source>
        <translation>keine Schule oder Halle ist angegeben</translation>
    </message>
    <message>
        <source>the clip has no day</source>
        <translation>der Clip hat keinen Tag</translation>
    </message>
    <message>
        <source>no day of the next look is chosen</source>
        <translation>kein Tag des nächsten Blicks ist gewählt</translation>
    </message>
    <message>
        <source>it belongs to another clip; put in the one of this clip</source>
        <translation>es gehört zu einem anderen Clip; setze das dieses Clips ein</translation>
    </message>
    <message>
        <source>it can no longer be said to be better; look at the person&apos;s figures</source>
        <translation>dass es besser ist, lässt sich nicht mehr sagen; sieh dir die Werte der Person an</translation>
    </message>
    <message>
        <source>this is not found in the clip any more; look at it in the review</source>
        <translation>das findet sich im Clip nicht mehr; sieh es in der Durchsicht an</translation>
    </message>
    <message>
        <source>it cannot be told from this clip any more; look at it in the review</source>
        <translation>aus diesem Clip ist es nicht mehr zu sagen; sieh es in der Durchsicht an</translation>
    </message>
    <message>
        <source>it is within its band now; look at it in the review</source>
        <translation>es liegt jetzt im Bereich; sieh es in der Durchsicht an</translation>
    </message>
    <message>
        <source>“%1”: there is no such field</source>
        <translation>„%1“: Dieses Feld gibt es nicht</translation>
    </message>
    <message>
        <source>%1 (± %2) better than before</source>
        <translation>%1 (± %2) besser als zuvor</translation>
    </message>
    <message>
        <source>the day is hidden in this letter</source>
        <translation>der Tag ist in diesem Brief verborgen</translation>
    </message>
</context>
<context>
    <name>guide</name>
    <message>
        <source>%1. phone %2</source>
        <translation>%1. Telefon %2</translation>
    </message>
    <message>
        <source>Put the phone sideways on a shelf or stand at the height of your hips, level, and let it stand still.</source>
        <translation>Stell das Telefon quer auf ein Regal oder Stativ in Hüfthöhe, waagrecht, und lass es stehen.</translation>
    </message>
    <message>
        <source>About three metres away. The whole of you is in the picture, raised hands too, with floor below both feet.</source>
        <translation>Etwa drei Meter entfernt. Du bist ganz im Bild, auch mit erhobenen Händen, und unter beiden Füßen ist Boden zu sehen.</translation>
    </message>
    <message>
        <source>Film %1: a clip for each.</source>
        <translation>Film %1: je eine Aufnahme.</translation>
    </message>
    <message>
        <source>, then </source>
        <translation>, dann </translation>
    </message>
    <message>
        <source>Light from the side of the phone, not from behind you. You are alone in the picture.</source>
        <translation>Licht von der Seite des Telefons, nicht von hinten. Du bist allein im Bild.</translation>
    </message>
    <message>
        <source>Trousers that show your knees; shoes as you practise in them. Something upright in the picture, as a door frame, helps.</source>
        <translation>Hosen, die deine Knie zeigen; Schuhe, wie du in ihnen übst. Etwas Senkrechtes im Bild, wie ein Türrahmen, hilft.</translation>
    </message>
    <message numerus="yes">
        <source>Stand quietly for two seconds. Then the movement, %n time(s) to each side, as you always do it. Stand quietly again.</source>
        <translation>
            <numerusform>Steh zwei Sekunden ruhig. Dann die Bewegung, %n-mal zu jeder Seite, wie du sie immer machst. Steh wieder ruhig.</numerusform>
            <numerusform>Steh zwei Sekunden ruhig. Dann die Bewegung, %n-mal zu jeder Seite, wie du sie immer machst. Steh wieder ruhig.</numerusform>
        </translation>
    </message>
    <message>
        <source>Say if something hurts or is different today. A film does not show it.</source>
        <translation>Sag, wenn etwas schmerzt oder heute anders ist. Ein Film zeigt das nicht.</translation>
    </message>
    <message>
        <source>How to film: %1</source>
        <translation>So wird gefilmt: %1</translation>
    </message>
    <message>
        <source>From above: you in the middle, the phone where it is put</source>
        <translation>Von oben: du in der Mitte, das Telefon an seinem Platz</translation>
    </message>
</context>
<context>
    <name>help</name>
    <message>
        <source>Marks and pictures</source>
        <translation>Zeichen und Bilder</translation>
    </message>
    <message>
        <source>Inside the band.</source>
        <translation>Im Bereich.</translation>
    </message>
    <message>
        <source>At the edge: outside by less than matters, or not certain enough to call it outside.</source>
        <translation>Am Rand: weniger außerhalb, als zählt, oder nicht sicher genug dafür.</translation>
    </message>
    <message>
        <source>Outside. The slope shows by how much; the thin end points the way to correct.</source>
        <translation>Außerhalb. Die Schräge zeigt, wie weit; das dünne Ende weist den Weg zurück.</translation>
    </message>
    <message>
        <source>Cannot be told from this clip. Why comes with it, and what to film instead.</source>
        <translation>Aus dieser Aufnahme nicht zu sehen. Der Grund steht dabei, und was statt dessen zu filmen ist.</translation>
    </message>
    <message>
        <source>The column is read from the ground up: what is wrong below is often the cause of what shows above. Keys 1 to 8 count from the ground.</source>
        <translation>Die Säule liest man vom Boden aufwärts: was unten nicht stimmt, ist oft die Ursache von dem, was sich oben zeigt. Die Tasten 1 bis 8 zählen vom Boden.</translation>
    </message>
    <message>
        <source>The tide shows the share of the weight on each foot. A solid rail is a foot flat on the floor, a dashed one heel or toes only, none a foot in the air; the thin line is the reference.</source>
        <translation>Die Flut zeigt den Anteil des Gewichts auf jedem Fuß. Eine volle Schiene ist ein flacher Fuß, eine gestrichelte nur Ferse oder Zehen, keine ein Fuß in der Luft; die dünne Linie ist die Referenz.</translation>
    </message>
    <message>
        <source>Student and reference always stand at the same moment of the movement, not at the same second.</source>
        <translation>Übende und Referenz stehen immer im selben Augenblick der Bewegung, nicht in derselben Sekunde.</translation>
    </message>
    <message>
        <source>A figure stands with its error: 12 ± 2° means that two times in three the true value lies between 10 and 14. Hatching shows where nothing can be told.</source>
        <translation>Ein Wert steht mit seinem Fehler: 12 ± 2° heißt, dass der wahre Wert zwei von drei Malen zwischen 10 und 14 liegt. Schraffur zeigt, wo nichts zu sehen ist.</translation>
    </message>
    <message>
        <source>What is measured</source>
        <translation>Was gemessen wird</translation>
    </message>
    <message>
        <source>a number</source>
        <translation>eine Zahl</translation>
    </message>
    <message>
        <source>Seen: %1</source>
        <translation>Zu sehen: %1</translation>
    </message>
    <message>
        <source>Rules of form</source>
        <translation>Regeln der Form</translation>
    </message>
    <message>
        <source>How to film</source>
        <translation>So wird gefilmt</translation>
    </message>
    <message>
        <source>The camera at hip height, level, and still: on a stand or a shelf.</source>
        <translation>Die Kamera in Hüfthöhe, waagrecht und still: auf einem Stativ oder Regal.</translation>
    </message>
    <message>
        <source>The whole body in the picture from head to both feet, with floor below the feet, for the whole clip.</source>
        <translation>Der ganze Körper im Bild, vom Kopf bis zu beiden Füßen, mit Boden unter den Füßen, die ganze Aufnahme lang.</translation>
    </message>
    <message>
        <source>Straight from the front, the back or a side. Knees and width are seen from the front, lean and length from a side.</source>
        <translation>Gerade von vorn, von hinten oder von der Seite. Knie und Breite sieht man von vorn, Neigung und Länge von der Seite.</translation>
    </message>
    <message>
        <source>Stand quietly for two seconds before you begin: figures that compare with standing need it.</source>
        <translation>Vor dem Beginn zwei Sekunden ruhig stehen: Werte, die mit dem Stehen vergleichen, brauchen es.</translation>
    </message>
    <message>
        <source>Light from the front, plain clothes that show the knees, thirty frames a second or more.</source>
        <translation>Licht von vorn, schlichte Kleidung, die die Knie zeigt, dreißig Bilder in der Sekunde oder mehr.</translation>
    </message>
    <message>
        <source>A door frame or another upright edge in the picture tells the true vertical.</source>
        <translation>Ein Türrahmen oder eine andere senkrechte Kante im Bild zeigt die wahre Senkrechte.</translation>
    </message>
    <message>
        <source>Cautions</source>
        <translation>Vorsicht</translation>
    </message>
    <message>
        <source>Bevel advises on form. It makes no diagnosis and keeps none.</source>
        <translation>Bevel berät zur Form. Es stellt keine Diagnose und bewahrt keine.</translation>
    </message>
    <message>
        <source>What Bevel is made of</source>
        <translation>Woraus Bevel gemacht ist</translation>
    </message>
    <message>
        <source>Bevel is free software under the GNU General Public License, version 3 or later.</source>
        <translation>Bevel ist freie Software unter der GNU General Public License, Version 3 oder später.</translation>
    </message>
    <message>
        <source>Lengths and masses of the body: Winter 2009, after Drillis and Contini; de Leva 1996; Gordon et al. 1989.</source>
        <translation>Längen und Massen des Körpers: Winter 2009, nach Drillis und Contini; de Leva 1996; Gordon u. a. 1989.</translation>
    </message>
    <message>
        <source>Version %1</source>
        <translation>Version %1</translation>
    </message>
    <message>
        <source>Classes</source>
        <translation>Gruppen</translation>
    </message>
    <message>
        <source>One plan for all. It is made of what more than half of those who are here may do; everybody else&apos;s way of each exercise stands beside it: with something to hold, an easier version, another movement of its kind, or a rest. Each of them passes what was agreed with that person and what the day asks for.</source>
        <translation>Ein Plan für alle. Er besteht aus dem, was mehr als die Hälfte derer darf, die da sind; die Weise aller anderen steht bei jeder Übung: mit etwas zum Festhalten, eine leichtere Form, eine andere Bewegung ihrer Art oder eine Ruhe. Jede von ihnen hält ein, was mit diesem Menschen vereinbart ist und was der Tag verlangt.</translation>
    </message>
    <message>
        <source>The screen in the hall and the voice say another way to all, without a name. Names and limits stand on this screen and on the leader&apos;s sheet alone.</source>
        <translation>Der Bildschirm in der Halle und die Stimme sagen die andere Weise allen, ohne Namen. Namen und Grenzen stehen nur auf diesem Bildschirm und auf dem Blatt der Leitung.</translation>
    </message>
    <message>
        <source>In common: of each person the newest clip of a movement counts. “7 of 12” are those whose figures lie beyond the band more likely than within; how sure that is comes from the errors of their figures. A letter to the class tells no share of fewer than five people.</source>
        <translation>Gemeinsames: Von jedem zählt die neueste Aufnahme einer Bewegung. „7 von 12“ sind die, deren Werte eher außerhalb des Bandes liegen als darin; wie sicher das ist, kommt aus den Fehlern ihrer Werte. Ein Brief an die Gruppe nennt keinen Anteil von weniger als fünf Menschen.</translation>
    </message>
    <message>
        <source>Quiet tests</source>
        <translation>Ruhige Proben</translation>
    </message>
    <message>
        <source>Two phones at once, one in front and one at a side, tell more than one after the other: clips that were paired are held against each other, their clocks told from the movement, and where they show one performance the body stands in the room. Then turns, knees and both directions of the stance are told from both together, and Room shows it from any side. Start both phones before the student begins; how they are placed and when they are started is found out.</source>
        <translation>Zwei Telefone zugleich, eines vorn und eines an der Seite, sagen mehr als eines nach dem anderen: Gepaarte Aufnahmen werden aneinander gehalten, ihre Uhren aus der Bewegung bestimmt, und wo sie eine einzige Ausführung zeigen, steht der Körper im Raum. Dann werden Drehungen, Knie und beide Richtungen des Standes aus beiden zusammen bestimmt, und „Raum“ zeigt ihn von jeder Seite. Beide Telefone starten, bevor die Schülerin beginnt; wo sie stehen und wann sie gestartet wurden, wird herausgefunden.</translation>
    </message>
    <message>
        <source>Of a clip that was filmed obliquely one body is fitted to the whole clip, in the background: constant lengths, feet on the floor and knees that bend one way tell knee bend, thigh, knee past the toe, toe-out, stance length and turns, with wider errors. What a raised heel, the trunk or the arms do is not told from there.</source>
        <translation>An einen schräg gefilmten Clip wird im Hintergrund ein Körper angepasst: Gleich bleibende Längen, Füße auf dem Boden und Knie, die nur in eine Richtung beugen, sagen Kniebeugung, Oberschenkel, Knie vor der Zehe, Fußöffnung, Standlänge und Drehungen, mit größeren Fehlern. Was eine gehobene Ferse, der Rumpf oder die Arme tun, wird von dort nicht gesagt.</translation>
    </message>
    <message>
        <source>Courses</source>
        <translation>Kurse</translation>
    </message>
    <message>
        <source>A course is of one person and lasts 4 to 12 weeks. Each movement, correction, form and step of balance is a thread: it begins, comes back the week after and then less and less often, and rests between. One new thing a week: what a letter asked for comes first. One week in four is lighter, the last one is from memory. A clip is asked for every second week and looked at in the week after.</source>
        <translation>Ein Kurs ist der einer Person und dauert 4 bis 12 Wochen. Jede Bewegung, Korrektur, Form und Stufe des Gleichgewichts ist ein Faden: Er beginnt, kommt in der Woche danach wieder und dann immer seltener, und ruht dazwischen. Eine neue Sache je Woche: Worum ein Brief gebeten hat, kommt zuerst. Eine Woche von vieren ist leichter, die letzte ist aus dem Gedächtnis. Jede zweite Woche wird ein Clip erbeten und in der Woche danach angesehen.</translation>
    </message>
    <message>
        <source>What a person may not do is not in it. When a limit, a new letter or two clips that show a correction settled change what is known, it is said above the weeks, and the weeks from now on follow when you say so. A correction is settled where it is inside beyond its error, in every phase, in two clips two weeks apart that tell it.</source>
        <translation>Was eine Person nicht darf, steht nicht darin. Ändern eine Grenze, ein neuer Brief oder zwei Clips, die eine Korrektur erledigt zeigen, was bekannt ist, so wird es über den Wochen gesagt, und die Wochen von jetzt an folgen, wenn Sie es sagen. Erledigt ist eine Korrektur, wenn sie in zwei Clips mit zwei Wochen Abstand, die sie zeigen, in jeder Phase über ihren Fehler hinaus innerhalb ist.</translation>
    </message>
    <message>
        <source>A lesson or a day at home of any week is planned from it, as that day asks: the day&apos;s limits hold whatever the course says. At home it never asks for closed eyes.</source>
        <translation>Eine Stunde oder ein Tag zu Hause jeder Woche wird daraus geplant, wie es der Tag verlangt: Die Grenzen des Tages gelten, was immer der Kurs sagt. Zu Hause verlangt er nie geschlossene Augen.</translation>
    </message>
    <message>
        <source>Seeing</source>
        <translation>Sehen</translation>
    </message>
    <message>
        <source>For whoever learns to see: a clip without figures. Look as often and as slowly as you like, say what you see, on which side and at which moment, put first what you would say first, and then see what is there.</source>
        <translation>Für alle, die sehen lernen: ein Clip ohne Zahlen. Schauen Sie so oft und so langsam, wie Sie mögen, sagen Sie, was Sie sehen, auf welcher Seite und in welchem Moment, stellen Sie voran, was Sie zuerst sagen würden, und sehen Sie dann, was da ist.</translation>
    </message>
    <message>
        <source>A virtual student&apos;s clip has faults that are known; what counts as there is what its review finds from the side it is filmed from, and finds from all sides too. Of a clip of the library it is what its review says; what the instructor set aside counts for nothing. Clips of the library are shown of people alone who agreed to it in People, and nobody is named.</source>
        <translation>Der Clip einer Figur hat bekannte Fehler; als da zählt, was seine Durchsicht von der gefilmten Seite findet und auch von allen Seiten fände. Bei einem Clip der Bibliothek ist es, was seine Durchsicht sagt; was die Lehrperson beiseitegelegt hat, zählt nicht. Aus der Bibliothek werden nur Clips von Personen gezeigt, die dem unter Menschen zugestimmt haben, und niemand wird genannt.</translation>
    </message>
    <message>
        <source>Counted are things found, missed, and said that are not there, the right side, the right moment (half a second before or after is right too), and the order: what can hurt first, then from the ground up. What is at the edge or cannot be told from that side counts for nothing. These are counts of clips, not a mark of a person.</source>
        <translation>Gezählt wird, was gefunden, was übersehen und was gesagt wurde, ohne da zu sein, die richtige Seite, der richtige Moment (eine halbe Sekunde davor oder danach ist auch richtig) und die Reihenfolge: zuerst, was schaden kann, dann vom Boden aufwärts. Was am Rand liegt oder von dieser Seite nicht zu sagen ist, zählt nicht. Es sind Zahlen über Clips, keine Note für eine Person.</translation>
    </message>
    <message>
        <source>Leave the sound of both films on, and clap once: what both phones heard tells how their clocks differ, nearer than the movement does, and Arrivals offers the second film by itself. Nothing of the sound is kept beside the film.</source>
        <translation>Lassen Sie bei beiden Filmen den Ton an und klatschen Sie einmal: Was beide Telefone gehört haben, sagt genauer als die Bewegung, wie ihre Uhren voneinander abweichen, und der Eingang bietet den zweiten Film von selbst an. Vom Ton wird außer dem Film nichts aufbewahrt.</translation>
    </message>
</context>
<context>
    <name>lanes</name>
    <message>
        <source>%1 · %2</source>
        <translation>%1 · %2</translation>
    </message>
    <message>
        <source>%1 (cut)</source>
        <translation>%1 (abgeschnitten)</translation>
    </message>
    <message>
        <source>left foot</source>
        <translation>linker Fuß</translation>
    </message>
    <message>
        <source>right foot</source>
        <translation>rechter Fuß</translation>
    </message>
    <message>
        <source>The body was not found on this frame.</source>
        <translation>Der Körper wurde auf diesem Bild nicht gefunden.</translation>
    </message>
    <message>
        <source>From above; grid 25 cm</source>
        <translation>Von oben; Raster 25 cm</translation>
    </message>
    <message>
        <source>From above: sideways only</source>
        <translation>Von oben: nur seitlich</translation>
    </message>
    <message>
        <source>From above: forward only</source>
        <translation>Von oben: nur der Länge nach</translation>
    </message>
    <message>
        <source>not judged</source>
        <translation>nicht beurteilt</translation>
    </message>
    <message>
        <source>In the room; grid 25 cm</source>
        <translation>Im Raum; Raster 25 cm</translation>
    </message>
</context>
<context>
    <name>learn</name>
    <message numerus="yes">
        <source>%n repetition(s) found.</source>
        <translation>
            <numerusform>Eine Wiederholung gefunden.</numerusform>
            <numerusform>%n Wiederholungen gefunden.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n clip(s) show none of it.</source>
        <translation>
            <numerusform>Ein Clip zeigt nichts davon.</numerusform>
            <numerusform>%n Clips zeigen nichts davon.</numerusform>
        </translation>
    </message>
    <message>
        <source>The figure&apos;s joints are within %1 cm of what was shown.</source>
        <translation>Die Gelenke der Figur liegen innerhalb von %1 cm vom Gezeigten.</translation>
    </message>
    <message>
        <source>Take care: %1 was shown at %2, beyond what is safe (%3). The safe band stays.</source>
        <translation>Vorsicht: %1 wurde mit %2 gezeigt, jenseits des Sicheren (%3). Der sichere Bereich bleibt.</translation>
    </message>
    <message>
        <source>%1: %2, where the rule asks for %3</source>
        <comment>what was seen</comment>
        <translation>%1: %2, wo die Regel %3 verlangt</translation>
    </message>
    <message numerus="yes">
        <source>%n band(s) are set by what was shown.</source>
        <translation>
            <numerusform>Ein Bereich folgt dem Gezeigten.</numerusform>
            <numerusform>%n Bereiche folgen dem Gezeigten.</numerusform>
        </translation>
    </message>
    <message>
        <source>Shown otherwise than the rules ask. Is it meant so? Then keep it, else film it anew:</source>
        <translation>Anders gezeigt, als die Regeln verlangen. Ist es so gemeint? Dann behalten, sonst neu filmen:</translation>
    </message>
</context>
<context>
    <name>letter</name>
    <message>
        <source>student</source>
        <translation>Übende</translation>
    </message>
    <message>
        <source>a student</source>
        <translation>jemand, der übt</translation>
    </message>
    <message>
        <source>Left out: on this picture it cannot be hidden who it is</source>
        <translation>Weggelassen: auf diesem Bild lässt sich nicht verbergen, wer es ist</translation>
    </message>
    <message>
        <source>You, at this moment</source>
        <translation>Du, in diesem Augenblick</translation>
    </message>
    <message>
        <source>%1 · filmed %2</source>
        <translation>%1 · gefilmt %2</translation>
    </message>
    <message>
        <source>Filmed %1</source>
        <translation>Gefilmt %1</translation>
    </message>
    <message>
        <source>What went well</source>
        <translation>Was gut ging</translation>
    </message>
    <message>
        <source>%1 for %2</source>
        <translation>%1 für %2</translation>
    </message>
    <message>
        <source>%1 · %2</source>
        <translation>%1 · %2</translation>
    </message>
    <message>
        <source>Picture this: %1</source>
        <translation>Stell dir vor: %1</translation>
    </message>
    <message>
        <source>First alone: %1</source>
        <translation>Erst allein: %1</translation>
    </message>
    <message>
        <source>At home: %1</source>
        <translation>Zu Hause: %1</translation>
    </message>
    <message>
        <source>Please send a new clip around %1.</source>
        <translation>Bitte schick um den %1 einen neuen Clip.</translation>
    </message>
    <message numerus="yes">
        <source>%n time(s) a day</source>
        <translation>
            <numerusform>%n-mal am Tag</numerusform>
            <numerusform>%n-mal am Tag</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 a side</source>
        <translation>%1 je Seite</translation>
    </message>
    <message>
        <source>holding %1 s</source>
        <translation>%1 s halten</translation>
    </message>
    <message>
        <source>As it is meant, at the same moment</source>
        <translation>Wie es gemeint ist, im selben Moment</translation>
    </message>
    <message>
        <source>%1.</source>
        <comment>what is seen</comment>
        <translation>%1.</translation>
    </message>
    <message>
        <source>%1: %2.</source>
        <comment>what is seen, when and where</comment>
        <translation>%1: %2.</translation>
    </message>
    <message>
        <source>%1, asked: %2</source>
        <translation>%1, verlangt: %2</translation>
    </message>
    <message>
        <source>%1 · %2 of %3</source>
        <comment>movement, number of a correction</comment>
        <translation>%1 · %2 von %3</translation>
    </message>
</context>
<context>
    <name>practice</name>
    <message>
        <source>That was all</source>
        <translation>Das war alles</translation>
    </message>
    <message>
        <source>Get ready</source>
        <translation>Mach dich bereit</translation>
    </message>
    <message>
        <source>Two free breaths</source>
        <translation>Zwei freie Atemzüge</translation>
    </message>
    <message>
        <source>Stand, and settle</source>
        <translation>Steh und sammle dich</translation>
    </message>
    <message>
        <source>hold %1 of %2</source>
        <translation>Halten %1 von %2</translation>
    </message>
    <message>
        <source>hold</source>
        <translation>halten</translation>
    </message>
    <message>
        <source>breathe in</source>
        <translation>einatmen</translation>
    </message>
    <message>
        <source>breathe out</source>
        <translation>ausatmen</translation>
    </message>
    <message>
        <source>breathe freely</source>
        <translation>frei atmen</translation>
    </message>
    <message>
        <source>Waits for your tap</source>
        <translation>Wartet auf dein Tippen</translation>
    </message>
    <message>
        <source>Paused</source>
        <translation>Angehalten</translation>
    </message>
    <message>
        <source>Next: %1</source>
        <translation>Danach: %1</translation>
    </message>
    <message>
        <source>Practice</source>
        <translation>Üben</translation>
    </message>
    <message>
        <source>For %1</source>
        <translation>Für %1</translation>
    </message>
    <message numerus="yes">
        <source>%n minute(s) in all.</source>
        <translation>
            <numerusform>%n Minute insgesamt.</numerusform>
            <numerusform>%n Minuten insgesamt.</numerusform>
        </translation>
    </message>
    <message>
        <source>in</source>
        <translation>ein</translation>
    </message>
    <message>
        <source>out</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>%1 – breathe %2</source>
        <translation>%1 – %2atmen</translation>
    </message>
    <message>
        <source>Opening</source>
        <translation>Beginn</translation>
    </message>
    <message>
        <source>Loosening</source>
        <translation>Lockern</translation>
    </message>
    <message>
        <source>Drill</source>
        <translation>Vorübung</translation>
    </message>
    <message>
        <source>Form</source>
        <translation>Form</translation>
    </message>
    <message>
        <source>Sequence</source>
        <translation>Folge</translation>
    </message>
    <message>
        <source>Join</source>
        <translation>Übergang</translation>
    </message>
    <message>
        <source>Settling</source>
        <translation>Sammeln</translation>
    </message>
    <message>
        <source>Closing</source>
        <translation>Schluss</translation>
    </message>
    <message>
        <source>legs</source>
        <translation>Beine</translation>
    </message>
    <message>
        <source>waist</source>
        <translation>Taille</translation>
    </message>
    <message>
        <source>spine</source>
        <translation>Wirbelsäule</translation>
    </message>
    <message>
        <source>shoulders</source>
        <translation>Schultern</translation>
    </message>
    <message>
        <source>balance</source>
        <translation>Gleichgewicht</translation>
    </message>
    <message>
        <source>breath</source>
        <translation>Atem</translation>
    </message>
    <message>
        <source>Stand, two easy breaths</source>
        <translation>Stehen, zwei leichte Atemzüge</translation>
    </message>
    <message>
        <source>Join: end of %1, beginning of %2</source>
        <translation>Übergang: Ende von %1, Beginn von %2</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>held %1 s</source>
        <translation>%1 s gehalten</translation>
    </message>
    <message>
        <source>%1 holds of %2 s</source>
        <translation>%1-mal %2 s halten</translation>
    </message>
    <message numerus="yes">
        <source>%n time(s)</source>
        <translation>
            <numerusform>%n-mal</numerusform>
            <numerusform>%n-mal</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 a side</source>
        <translation>%1 je Seite</translation>
    </message>
    <message>
        <source>%1 left, %2 right</source>
        <translation>%1 links, %2 rechts</translation>
    </message>
    <message>
        <source>, %1 first</source>
        <translation>, %1 zuerst</translation>
    </message>
    <message>
        <source>a still stand frames the session</source>
        <translation>ein stilles Stehen rahmt die Übung</translation>
    </message>
    <message>
        <source>the last letter asked for it (%1)</source>
        <translation>der letzte Brief bat darum (%1)</translation>
    </message>
    <message>
        <source>isolates what is to be mended, before the whole</source>
        <translation>übt allein, was zu bessern ist, vor dem Ganzen</translation>
    </message>
    <message>
        <source>because %1 asks for the %2</source>
        <translation>weil %1 es braucht (%2)</translation>
    </message>
    <message>
        <source>eases what %1 has tired</source>
        <translation>löst, was %1 ermüdet hat</translation>
    </message>
    <message>
        <source>trains the %1</source>
        <translation>übt: %1</translation>
    </message>
    <message>
        <source>you asked for it</source>
        <translation>du hast es gewünscht</translation>
    </message>
    <message>
        <source>is known</source>
        <translation>ist bekannt</translation>
    </message>
    <message>
        <source>you keep it here</source>
        <translation>du behältst es hier</translation>
    </message>
    <message>
        <source>a moment to settle</source>
        <translation>ein Moment zum Sammeln</translation>
    </message>
    <message>
        <source>the sequence grows movement by movement</source>
        <translation>die Folge wächst Bewegung um Bewegung</translation>
    </message>
    <message>
        <source>for variety</source>
        <translation>zur Abwechslung</translation>
    </message>
    <message>
        <source>%1 does not fit into the time.</source>
        <translation>%1 passt nicht in die Zeit.</translation>
    </message>
    <message>
        <source>%1 is left out today: no arms overhead when unsteady, dizzy or tired.</source>
        <translation>%1 entfällt heute: keine Arme über Kopf, wenn jemand unsicher, schwindlig oder müde ist.</translation>
    </message>
    <message>
        <source>%1 is left out today: no balance when unsteady, dizzy or tired.</source>
        <translation>%1 entfällt heute: kein Gleichgewicht, wenn jemand unsicher, schwindlig oder müde ist.</translation>
    </message>
    <message>
        <source>%1 is left out: it was agreed so.</source>
        <translation>%1 entfällt: So ist es vereinbart.</translation>
    </message>
    <message>
        <source>%1 is left out: a part of the body asks for care today.</source>
        <translation>%1 entfällt: Ein Körperteil braucht heute Schonung.</translation>
    </message>
    <message>
        <source>%1 is left out: balance needs a chair or a wall in reach.</source>
        <translation>%1 entfällt: Gleichgewicht braucht einen Stuhl oder eine Wand in Reichweite.</translation>
    </message>
    <message>
        <source>%1 is left out: no stick is at hand.</source>
        <translation>%1 entfällt: Es ist kein Stock da.</translation>
    </message>
    <message>
        <source>%1 is left out.</source>
        <translation>%1 entfällt.</translation>
    </message>
    <message>
        <source>A quiet stand opens and closes a session.</source>
        <translation>Ein stilles Stehen eröffnet und beschließt die Übung.</translation>
    </message>
    <message>
        <source>%1 longer than the time at hand.</source>
        <translation>%1 länger als die Zeit, die da ist.</translation>
    </message>
    <message>
        <source>%1 are left of the time at hand.</source>
        <translation>%1 der Zeit bleiben übrig.</translation>
    </message>
    <message>
        <source>Loosening is %1 % of the session; 35 to 40 are usual.</source>
        <translation>Lockern macht %1 % aus; 35 bis 40 sind üblich.</translation>
    </message>
    <message>
        <source>%1: large joints come before twists.</source>
        <translation>%1: Große Gelenke kommen vor Drehungen.</translation>
    </message>
    <message>
        <source>%1: a low stance wants a middle one before it.</source>
        <translation>%1: Vor einem tiefen Stand steht ein mittlerer.</translation>
    </message>
    <message>
        <source>%1: left and right are not even.</source>
        <translation>%1: Links und rechts sind nicht gleich.</translation>
    </message>
    <message>
        <source>%1: not when unsteady, dizzy or tired.</source>
        <translation>%1: nicht, wenn jemand unsicher, schwindlig oder müde ist.</translation>
    </message>
    <message>
        <source>%1: balance needs a chair or a wall in reach.</source>
        <translation>%1: Gleichgewicht braucht einen Stuhl oder eine Wand in Reichweite.</translation>
    </message>
    <message>
        <source>%1: its drill comes first.</source>
        <translation>%1: Erst kommt die Vorübung.</translation>
    </message>
    <message>
        <source>%1: against what was agreed, or what asks for care.</source>
        <translation>%1: gegen das Vereinbarte oder das, was Schonung braucht.</translation>
    </message>
    <message>
        <source>%1: something light for what it tires should follow.</source>
        <translation>%1: Danach sollte etwas Leichtes für das kommen, was ermüdet.</translation>
    </message>
    <message>
        <source>left</source>
        <translation>links</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechts</translation>
    </message>
    <message>
        <source>halfway</source>
        <translation>die Hälfte</translation>
    </message>
    <message>
        <source>ten more</source>
        <translation>noch zehn</translation>
    </message>
    <message>
        <source>hold again</source>
        <translation>wieder halten</translation>
    </message>
    <message>
        <source>two free breaths</source>
        <translation>zwei freie Atemzüge</translation>
    </message>
    <message>
        <source>enough, come up slowly</source>
        <translation>genug, komm langsam hoch</translation>
    </message>
    <message>
        <source>stand, and settle</source>
        <translation>steh und sammle dich</translation>
    </message>
    <message>
        <source>have a chair or the wall in reach</source>
        <translation>Stuhl oder Wand in Reichweite</translation>
    </message>
    <message>
        <source>that was all</source>
        <translation>das war alles</translation>
    </message>
    <message>
        <source>both hands on the back of a chair</source>
        <translation>beide Hände auf einer Stuhllehne</translation>
    </message>
    <message>
        <source>one hand on the back of a chair</source>
        <translation>eine Hand auf einer Stuhllehne</translation>
    </message>
    <message>
        <source>fingertips on the back of a chair</source>
        <translation>Fingerspitzen auf einer Stuhllehne</translation>
    </message>
    <message>
        <source>hands free, the chair or the wall in reach</source>
        <translation>Hände frei, Stuhl oder Wand in Reichweite</translation>
    </message>
    <message>
        <source>one foot before the other, the chair or the wall in reach</source>
        <translation>ein Fuß vor dem anderen, Stuhl oder Wand in Reichweite</translation>
    </message>
    <message>
        <source>hands free and slower, the chair or the wall in reach</source>
        <translation>Hände frei und langsamer, Stuhl oder Wand in Reichweite</translation>
    </message>
    <message>
        <source>eyes closed, a helper beside</source>
        <translation>Augen zu, ein Helfer daneben</translation>
    </message>
    <message>
        <source>in by the nose, out through the lips</source>
        <translation>ein durch die Nase, aus durch die Lippen</translation>
    </message>
    <message>
        <source>in and out by the nose</source>
        <translation>ein und aus durch die Nase</translation>
    </message>
    <message>
        <source>Let in by the instructor: %1</source>
        <translation>Von der Lehrperson zugelassen: %1</translation>
    </message>
    <message>
        <source>%1, round %2 of %3</source>
        <translation>%1, Runde %2 von %3</translation>
    </message>
    <message>
        <source>in its easier way, by what was agreed or what today asks for</source>
        <translation>auf die leichtere Art, nach dem Vereinbarten oder dem, was heute gilt</translation>
    </message>
    <message>
        <source>%1 is left out: it is not among the forms.</source>
        <translation>%1 entfällt: Es ist nicht unter den Formen.</translation>
    </message>
    <message>
        <source>From memory</source>
        <translation>Aus dem Kopf</translation>
    </message>
    <message>
        <source>a form that is not there any more</source>
        <translation>eine Form, die es nicht mehr gibt</translation>
    </message>
    <message>
        <source>%1, left and right changed over</source>
        <translation>%1, Seiten vertauscht</translation>
    </message>
    <message>
        <source>%1: from part %2 over into %3</source>
        <translation>%1: aus Teil %2 hinüber in %3</translation>
    </message>
    <message>
        <source>%1: parts %2 to %3</source>
        <translation>%1: Teile %2 bis %3</translation>
    </message>
    <message>
        <source>%1: part %2</source>
        <translation>%1: Teil %2</translation>
    </message>
    <message>
        <source>%1: %2. %3</source>
        <comment>form, number and name of a part</comment>
        <translation>%1: %2. %3</translation>
    </message>
    <message>
        <source>%1, from memory</source>
        <translation>%1, aus dem Kopf</translation>
    </message>
    <message>
        <source>the last letter asked for it</source>
        <translation>der letzte Brief bat darum</translation>
    </message>
    <message>
        <source>the form grows part by part</source>
        <translation>die Form wächst Teil um Teil</translation>
    </message>
    <message>
        <source>that was: %1</source>
        <comment>a part of a form, once it is over</comment>
        <translation>das war: %1</translation>
    </message>
    <message>
        <source>left, %1 of %2</source>
        <translation>links, %1 von %2</translation>
    </message>
    <message>
        <source>right, %1 of %2</source>
        <translation>rechts, %1 von %2</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>%1 left</source>
        <comment>time</comment>
        <translation>noch %1</translation>
    </message>
    <message>
        <source>rest, and watch</source>
        <translation>ruhen und zusehen</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <comment>a movement, a version of it</comment>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>with something to hold</source>
        <translation>mit etwas zum Festhalten</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>wie es ist</translation>
    </message>
    <message>
        <source>or: %1</source>
        <translation>oder: %1</translation>
    </message>
    <message>
        <source>next: %1</source>
        <comment>what comes after the rest</comment>
        <translation>als Nächstes: %1</translation>
    </message>
    <message>
        <source>%1 stance</source>
        <translation>%1</translation>
    </message>
    <message>
        <source>with the stick</source>
        <translation>mit dem Stab</translation>
    </message>
    <message>
        <source>the chair or the wall in reach</source>
        <translation>Stuhl oder Wand in Reichweite</translation>
    </message>
    <message>
        <source>whoever faces the group: right</source>
        <translation>wer gegenüber steht: rechts</translation>
    </message>
    <message>
        <source>whoever faces the group: left</source>
        <translation>wer gegenüber steht: links</translation>
    </message>
</context>
<context>
    <name>quiet_tests</name>
    <message>
        <source>One-leg stand</source>
        <translation>Stand auf einem Bein</translation>
    </message>
    <message>
        <source>Sitting to standing, five times</source>
        <translation>Vom Sitzen zum Stehen, fünfmal</translation>
    </message>
    <message>
        <source>Quiet stand</source>
        <translation>Ruhiger Stand</translation>
    </message>
    <message>
        <source>Heel raises</source>
        <translation>Fersen heben</translation>
    </message>
    <message>
        <source>Beside a wall or the back of a chair, a hand near it. Lift one foot, then the other; each stand ends at 30 seconds. Film from the front, the feet in the picture.</source>
        <translation>Neben einer Wand oder Stuhllehne, eine Hand nahe daran. Einen Fuß heben, dann den anderen; jeder Stand endet nach 30 Sekunden. Von vorn filmen, mit den Füßen im Bild.</translation>
    </message>
    <message>
        <source>A firm chair with its back to a wall, feet flat. Rise and sit five times without hurry, as it is comfortable. Film from the side.</source>
        <translation>Ein fester Stuhl mit der Lehne an der Wand, Füße flach. Fünfmal ohne Eile aufstehen und sich setzen, so wie es angenehm ist. Von der Seite filmen.</translation>
    </message>
    <message>
        <source>Feet under the hips, arms hanging, eyes open, something to hold in reach. Thirty seconds. The phone stands still.</source>
        <translation>Füße unter den Hüften, Arme hängen, Augen offen, etwas zum Festhalten in Reichweite. Dreißig Sekunden. Das Telefon steht still.</translation>
    </message>
    <message>
        <source>A hand on a wall. Raise both heels and lower them slowly, as often as it is comfortable. Film from the side.</source>
        <translation>Eine Hand an der Wand. Beide Fersen heben und langsam senken, so oft es angenehm ist. Von der Seite filmen.</translation>
    </message>
    <message>
        <source>Not when dizzy, in pain, or after a fall that has not been looked at; never to the limit. A test is compared with this person&apos;s own past alone: there is no norm, and it is no diagnosis.</source>
        <translation>Nicht bei Schwindel, Schmerz oder nach einem Sturz, der nicht angesehen wurde; nie bis an die Grenze. Verglichen wird nur mit der eigenen Vergangenheit: Es gibt keine Norm, und es ist keine Diagnose.</translation>
    </message>
    <message>
        <source>Time on one leg</source>
        <translation>Zeit auf einem Bein</translation>
    </message>
    <message>
        <source>Rises</source>
        <translation>Aufstehen</translation>
    </message>
    <message>
        <source>All rises together</source>
        <translation>Alle zusammen</translation>
    </message>
    <message>
        <source>One rise, the middle one of them</source>
        <translation>Einmal aufstehen, das mittlere</translation>
    </message>
    <message>
        <source>Raises</source>
        <translation>Heben</translation>
    </message>
    <message>
        <source>Height of a raise</source>
        <translation>Höhe des Hebens</translation>
    </message>
    <message>
        <source>Sway sideways</source>
        <translation>Schwanken seitwärts</translation>
    </message>
    <message>
        <source>Sway forward and back</source>
        <translation>Schwanken vor und zurück</translation>
    </message>
    <message>
        <source>Area of the sway</source>
        <translation>Fläche des Schwankens</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <comment>a figure, its side</comment>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>left</source>
        <translation>links</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechts</translation>
    </message>
    <message>
        <source>%1 ± %2</source>
        <translation>%1 ± %2</translation>
    </message>
    <message>
        <source>Nothing in this clip is that test.</source>
        <translation>Nichts in dieser Aufnahme ist diese Probe.</translation>
    </message>
    <message>
        <source>From this side it cannot be counted.</source>
        <translation>Von dieser Seite ist es nicht zu zählen.</translation>
    </message>
    <message>
        <source>A quiet stand of less than %1 seconds tells no sway.</source>
        <translation>Ein ruhiger Stand von weniger als %1 Sekunden zeigt kein Schwanken.</translation>
    </message>
    <message>
        <source>with a hand on something</source>
        <translation>mit einer Hand an etwas</translation>
    </message>
    <message>
        <source>ended at 30 seconds</source>
        <translation>nach 30 Sekunden beendet</translation>
    </message>
    <message>
        <source>the clip begins or ends in it: at least so long</source>
        <translation>die Aufnahme beginnt oder endet darin: mindestens so lang</translation>
    </message>
    <message>
        <source>one leg only</source>
        <translation>nur ein Bein</translation>
    </message>
    <message>
        <source>no change beyond ± %1 since %2</source>
        <translation>keine Änderung über ± %1 hinaus seit %2</translation>
    </message>
    <message>
        <source>%1 more than on %2</source>
        <translation>%1 mehr als am %2</translation>
    </message>
    <message>
        <source>%1 less than on %2</source>
        <translation>%1 weniger als am %2</translation>
    </message>
    <message>
        <source>%1 shoulder widths</source>
        <translation>%1 Schulterbreiten</translation>
    </message>
    <message>
        <source>How far with ease</source>
        <translation>Wie weit mit Leichtigkeit</translation>
    </message>
    <message>
        <source>How one stands</source>
        <translation>Wie man steht</translation>
    </message>
    <message>
        <source>A chair in reach. Sink, turn to both sides, bend sideways, raise the arms: as far as it goes with ease, about seven tenths of what could be done, and stay there for a breath. From the front bends and arms are told, from the side turns and how far one sinks.</source>
        <translation>Ein Stuhl in Reichweite. Sinken, zu beiden Seiten drehen, seitlich beugen, die Arme heben: so weit es leicht geht, etwa sieben Zehntel des Möglichen, und dort einen Atemzug bleiben. Von vorn sind Beugen und Arme zu sagen, von der Seite Drehungen und wie tief man sinkt.</translation>
    </message>
    <message>
        <source>Stand as is right for this person, placed by whoever teaches, for ten seconds. From the side head and back are told, from the front shoulders, weight and feet.</source>
        <translation>Stehen, wie es für diese Person richtig ist, von der Lehrperson ausgerichtet, zehn Sekunden lang. Von der Seite sind Kopf und Rücken zu sagen, von vorn Schultern, Gewicht und Füße.</translation>
    </message>
    <message>
        <source>The hips sink, of their height</source>
        <translation>Die Hüften sinken, von ihrer Höhe</translation>
    </message>
    <message>
        <source>Shoulders turn against the hips</source>
        <translation>Schultern drehen gegen die Hüften</translation>
    </message>
    <message>
        <source>The trunk bends sideways</source>
        <translation>Der Rumpf beugt sich seitlich</translation>
    </message>
    <message>
        <source>The hand goes up, of the body&apos;s height</source>
        <translation>Die Hand geht hinauf, von der Körpergröße</translation>
    </message>
    <message>
        <source>Ears ahead of the shoulders</source>
        <translation>Ohren vor den Schultern</translation>
    </message>
    <message>
        <source>Ear over the shoulder</source>
        <translation>Ohr über der Schulter</translation>
    </message>
    <message>
        <source>Nose over the ears</source>
        <translation>Nase über den Ohren</translation>
    </message>
    <message>
        <source>Rounding of the upper back</source>
        <translation>Rundung des oberen Rückens</translation>
    </message>
    <message>
        <source>Hollow of the low back</source>
        <translation>Hohlkreuz</translation>
    </message>
    <message>
        <source>Forward lean</source>
        <translation>Neigung nach vorn</translation>
    </message>
    <message>
        <source>Lean to the own left</source>
        <translation>Neigung nach eigener linker Seite</translation>
    </message>
    <message>
        <source>Left shoulder higher</source>
        <translation>Linke Schulter höher</translation>
    </message>
    <message>
        <source>Weight on the left foot</source>
        <translation>Gewicht auf dem linken Fuß</translation>
    </message>
    <message>
        <source>Feet apart</source>
        <translation>Füße auseinander</translation>
    </message>
    <message>
        <source>Toes out</source>
        <translation>Zehen auswärts</translation>
    </message>
    <message>
        <source>Thirty seconds on both legs without a hand on %1: one step up the balance ladder may be tried: %2.</source>
        <translation>Am %1 auf beiden Beinen dreißig Sekunden ohne Hand: Eine Stufe höher auf der Gleichgewichtsleiter darf versucht werden: %2.</translation>
    </message>
    <message>
        <source>Shorter beyond error on %1 than before: one step down the balance ladder: %2.</source>
        <translation>Am %1 über den Fehler hinaus kürzer als davor: eine Stufe tiefer auf der Gleichgewichtsleiter: %2.</translation>
    </message>
    <message>
        <source>A stand that was not filmed tells no moment.</source>
        <translation>Ein Stehen, das nicht gefilmt wurde, sagt keinen Moment.</translation>
    </message>
    <message>
        <source>A stand of less than %1 seconds does not tell how one stands.</source>
        <translation>Ein Stehen von weniger als %1 Sekunden sagt nicht, wie man steht.</translation>
    </message>
</context>
<context>
    <name>templates</name>
    <message>
        <source>Full letter</source>
        <translation>Ganzer Brief</translation>
    </message>
    <message>
        <source>Dear {name}, thank you for your clip.</source>
        <translation>Liebe/r {name}, danke für deinen Clip.</translation>
    </message>
    <message>
        <source>Take one of these at a time. Warm wishes,</source>
        <translation>Nimm dir eins nach dem anderen vor. Herzlich,</translation>
    </message>
    <message>
        <source>First letter</source>
        <translation>Erster Brief</translation>
    </message>
    <message>
        <source>Dear {name}, thank you for your first clip of {movement}. You will read what went well, and then at most three things to work on, from the ground up. The pictures show you beside the figure at the same moment.</source>
        <translation>Liebe/r {name}, danke für deinen ersten Clip: {movement}. Du liest zuerst, was gut gelang, und dann höchstens drei Dinge zum Üben, vom Boden aufwärts. Die Bilder zeigen dich neben der Figur im selben Moment.</translation>
    </message>
    <message>
        <source>There is no hurry with any of this. Write to me when something hurts or is not clear. Warm wishes,</source>
        <translation>Nichts davon eilt. Schreib mir, wenn etwas weh tut oder unklar ist. Herzlich,</translation>
    </message>
    <message>
        <source>Short message</source>
        <translation>Kurze Nachricht</translation>
    </message>
    <message>
        <source>Hello {name}, about your {movement}:</source>
        <translation>Hallo {name}, zu deinem Clip „{movement}“:</translation>
    </message>
    <message>
        <source>Until soon,</source>
        <translation>Bis bald,</translation>
    </message>
</context>
<context>
    <name>text</name>
    <message>
        <source> in</source>
        <translation> in</translation>
    </message>
    <message>
        <source> in/s</source>
        <translation> in/s</translation>
    </message>
    <message>
        <source> cm</source>
        <translation> cm</translation>
    </message>
    <message>
        <source> fists</source>
        <translation> Fäuste</translation>
    </message>
    <message>
        <source> foot lengths</source>
        <translation> Fußlängen</translation>
    </message>
    <message>
        <source> SW</source>
        <translation> SB</translation>
    </message>
    <message>
        <source>Feet</source>
        <translation>Füße</translation>
    </message>
    <message>
        <source>Weight</source>
        <translation>Gewicht</translation>
    </message>
    <message>
        <source>Knees</source>
        <translation>Knie</translation>
    </message>
    <message>
        <source>Hips</source>
        <translation>Hüften</translation>
    </message>
    <message>
        <source>Spine</source>
        <translation>Rücken</translation>
    </message>
    <message>
        <source>Head</source>
        <translation>Kopf</translation>
    </message>
    <message>
        <source>Arms</source>
        <translation>Arme</translation>
    </message>
    <message>
        <source>Breath &amp; tempo</source>
        <translation>Atem &amp; Tempo</translation>
    </message>
    <message>
        <source>left</source>
        <translation>links</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechts</translation>
    </message>
    <message>
        <source>from the front</source>
        <translation>von vorn</translation>
    </message>
    <message>
        <source>from the back</source>
        <translation>von hinten</translation>
    </message>
    <message>
        <source>from the student&apos;s left</source>
        <translation>von der linken Seite</translation>
    </message>
    <message>
        <source>from the student&apos;s right</source>
        <translation>von der rechten Seite</translation>
    </message>
    <message>
        <source>obliquely</source>
        <translation>schräg</translation>
    </message>
    <message>
        <source>in 3D</source>
        <translation>in 3D</translation>
    </message>
    <message>
        <source>inside</source>
        <translation>im Bereich</translation>
    </message>
    <message>
        <source>at the edge</source>
        <translation>am Rand</translation>
    </message>
    <message>
        <source>outside</source>
        <translation>außerhalb</translation>
    </message>
    <message>
        <source>cannot tell</source>
        <translation>nicht zu sehen</translation>
    </message>
    <message>
        <source>safety</source>
        <translation>Sicherheit</translation>
    </message>
    <message>
        <source>groundwork</source>
        <translation>Grundlage</translation>
    </message>
    <message>
        <source>timing</source>
        <translation>Zeitpunkt</translation>
    </message>
    <message>
        <source>shape</source>
        <translation>Form</translation>
    </message>
    <message>
        <source>evenness</source>
        <translation>Gleichmaß</translation>
    </message>
    <message>
        <source>the error is larger than the band</source>
        <translation>der Fehler ist größer als der Bereich</translation>
    </message>
    <message>
        <source>cannot be told from this view</source>
        <translation>aus dieser Ansicht nicht zu sehen</translation>
    </message>
    <message>
        <source>turned too far from the picture</source>
        <translation>zu weit aus dem Bild gedreht</translation>
    </message>
    <message>
        <source>the thigh points too much at the camera</source>
        <translation>der Oberschenkel zeigt zu sehr zur Kamera</translation>
    </message>
    <message>
        <source>the toes point too far out for this figure</source>
        <translation>die Zehen zeigen für diesen Wert zu weit nach außen</translation>
    </message>
    <message>
        <source>the feet are too close together</source>
        <translation>die Füße stehen zu dicht beisammen</translation>
    </message>
    <message>
        <source>no quiet standing to compare with</source>
        <translation>kein ruhiges Stehen zum Vergleich</translation>
    </message>
    <message>
        <source>the true vertical is not known</source>
        <translation>die wahre Senkrechte ist nicht bekannt</translation>
    </message>
    <message>
        <source>a foot is off the floor</source>
        <translation>ein Fuß ist in der Luft</translation>
    </message>
    <message>
        <source>this foot is hidden in part from this side</source>
        <translation>dieser Fuß ist von dieser Seite teils verdeckt</translation>
    </message>
    <message>
        <source>needs points or moments marked by hand</source>
        <translation>braucht von Hand gesetzte Punkte oder Augenblicke</translation>
    </message>
    <message>
        <source>the floor is not known, and the feet stand at different depths</source>
        <translation>der Boden ist nicht bekannt, und die Füße stehen verschieden tief im Raum</translation>
    </message>
    <message>
        <source>no recorded range of this student to compare with</source>
        <translation>kein aufgezeichneter Umfang zum Vergleich</translation>
    </message>
    <message>
        <source>a hand on a support carries part of the weight</source>
        <translation>eine Hand auf einer Stütze trägt einen Teil des Gewichts</translation>
    </message>
    <message>
        <source>seated practice has its own rules</source>
        <translation>Üben im Sitzen hat eigene Regeln</translation>
    </message>
    <message>
        <source>left and right repetitions look the same from here</source>
        <translation>linke und rechte Wiederholungen sehen von hier gleich aus</translation>
    </message>
    <message>
        <source>does not happen in this clip</source>
        <translation>kommt in dieser Aufnahme nicht vor</translation>
    </message>
    <message>
        <source>the moment was not found</source>
        <translation>der Augenblick wurde nicht gefunden</translation>
    </message>
    <message>
        <source>in</source>
        <translation>ein</translation>
    </message>
    <message>
        <source>out</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>free</source>
        <translation>frei</translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation>%1 bis %2</translation>
    </message>
    <message>
        <source>≥ %1</source>
        <translation>≥ %1</translation>
    </message>
    <message>
        <source>≤ %1</source>
        <translation>≤ %1</translation>
    </message>
    <message>
        <source>at least %1</source>
        <translation>mindestens %1</translation>
    </message>
    <message>
        <source>up to %1</source>
        <translation>bis %1</translation>
    </message>
    <message>
        <source>1 repetition</source>
        <translation>1 Wiederholung</translation>
    </message>
    <message>
        <source>%1 repetitions</source>
        <translation>%1 Wiederholungen</translation>
    </message>
    <message>
        <source>%1 (%2 left, %3 right)</source>
        <translation>%1 (%2 links, %3 rechts)</translation>
    </message>
    <message>
        <source>%1 (left and right look alike from here)</source>
        <translation>%1 (links und rechts sehen von hier gleich aus)</translation>
    </message>
    <message>
        <source>%1, %2 of them cut by the ends of the clip</source>
        <translation>%1, davon %2 an den Enden abgeschnitten</translation>
    </message>
    <message>
        <source>in all %1 repetitions</source>
        <translation>in allen %1 Wiederholungen</translation>
    </message>
    <message>
        <source>in %1 of %2 repetitions</source>
        <translation>in %1 von %2 Wiederholungen</translation>
    </message>
    <message>
        <source>the rule</source>
        <translation>die Regel</translation>
    </message>
    <message>
        <source>the stance</source>
        <translation>den Stand</translation>
    </message>
    <message>
        <source>the movement</source>
        <translation>die Bewegung</translation>
    </message>
    <message>
        <source>the school</source>
        <translation>die Schule</translation>
    </message>
    <message>
        <source>this phase of the movement</source>
        <translation>diese Phase der Bewegung</translation>
    </message>
    <message>
        <source>what is agreed with the student</source>
        <translation>die Vereinbarung mit der Übenden</translation>
    </message>
    <message>
        <source>this clip</source>
        <translation>diese Aufnahme</translation>
    </message>
    <message>
        <source>Rule %1: %2.</source>
        <translation>Regel %1: %2.</translation>
    </message>
    <message>
        <source>Measured: %1.</source>
        <translation>Gemessen: %1.</translation>
    </message>
    <message>
        <source>Held against the reference figure at the same moment of the movement.</source>
        <translation>An die Referenzfigur im selben Augenblick der Bewegung gehalten.</translation>
    </message>
    <message>
        <source>Looked at in: %1.</source>
        <translation>Betrachtet in: %1.</translation>
    </message>
    <message>
        <source>Band in force: %1, set by %2.</source>
        <translation>Geltender Bereich: %1, gesetzt durch %2.</translation>
    </message>
    <message>
        <source>Without it: %1.</source>
        <translation>Ohne das: %1.</translation>
    </message>
    <message>
        <source>It is wider here, since this clip can tell no finer.</source>
        <translation>Er ist hier weiter, denn diese Aufnahme zeigt es nicht feiner.</translation>
    </message>
    <message>
        <source>Cannot be told: %1.</source>
        <translation>Nicht zu sehen: %1.</translation>
    </message>
    <message>
        <source>Figure: %1 over %2; error of the moments ± %3, of the clip ± %4, of where the points sit on this person ± %5.</source>
        <translation>Wert: %1 über %2; Fehler der Augenblicke ± %3, der Aufnahme ± %4, des Sitzes der Punkte an diesem Menschen ± %5.</translation>
    </message>
    <message>
        <source>%1 at %2</source>
        <translation>%1 bei %2</translation>
    </message>
    <message>
        <source>Repetition by repetition: %1.</source>
        <translation>Wiederholung für Wiederholung: %1.</translation>
    </message>
    <message>
        <source>Outside the band for %1 of those moments.</source>
        <translation>In %1 dieser Augenblicke außerhalb des Bereichs.</translation>
    </message>
    <message>
        <source>May come from: %1.</source>
        <translation>Kommt vielleicht von: %1.</translation>
    </message>
    <message>
        <source>May be the cause of: %1.</source>
        <translation>Vielleicht Ursache von: %1.</translation>
    </message>
    <message>
        <source>%1 against the reference</source>
        <translation>%1 gegen die Referenz</translation>
    </message>
    <message>
        <source>not judged</source>
        <translation>nicht beurteilt</translation>
    </message>
    <message>
        <source>in this clip</source>
        <translation>in dieser Aufnahme</translation>
    </message>
    <message>
        <source>from %1 until %2</source>
        <translation>von %1 bis %2</translation>
    </message>
    <message>
        <source>until %1</source>
        <translation>bis %1</translation>
    </message>
    <message>
        <source>always</source>
        <translation>immer</translation>
    </message>
    <message>
        <source>from %1 on</source>
        <translation>ab %1</translation>
    </message>
    <message>
        <source>%1: %2, %3. %4</source>
        <translation>%1: %2, %3. %4</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>%1: %2 less than the reference</source>
        <translation>%1: %2 weniger als die Referenz</translation>
    </message>
    <message>
        <source>%1: %2 more than the reference</source>
        <translation>%1: %2 mehr als die Referenz</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Cancelled.</source>
        <translation>Abgebrochen.</translation>
    </message>
    <message>
        <source>The file cannot be opened: %1. Check that it still exists and that you may read it.</source>
        <translation>Die Datei lässt sich nicht öffnen: %1. Bitte prüfen, ob es sie noch gibt und ob sie gelesen werden darf.</translation>
    </message>
    <message>
        <source>This file cannot be read (%1). If it plays elsewhere, save it again as MP4 and try that.</source>
        <translation>Diese Datei lässt sich nicht lesen (%1). Wenn sie anderswo läuft, dort neu als MP4 speichern und damit versuchen.</translation>
    </message>
    <message>
        <source>This file is larger than Bevel can take (%1). Cut the clip to the part that matters.</source>
        <translation>Diese Datei ist zu groß für Bevel (%1). Die Aufnahme auf den Teil kürzen, um den es geht.</translation>
    </message>
    <message>
        <source>This library is open in another window of Bevel (%1). Close that one first, or go on there.</source>
        <translation>Diese Bibliothek ist in einem anderen Fenster von Bevel offen (%1). Jenes zuerst schließen oder dort weitermachen.</translation>
    </message>
    <message>
        <source>Writing failed: %1. Check that there is room and that the folder may be written to.</source>
        <translation>Das Schreiben misslang: %1. Bitte prüfen, ob Platz ist und ob in den Ordner geschrieben werden darf.</translation>
    </message>
    <message>
        <source>Not found: %1.</source>
        <translation>Nicht gefunden: %1.</translation>
    </message>
    <message>
        <source>Not saved: “%1” may still tell who it is. Change these words, or let the name be seen.</source>
        <translation>Nicht gespeichert: „%1“ verrät vielleicht noch, wer es ist. Diese Worte ändern oder den Namen sehen lassen.</translation>
    </message>
    <message>
        <source>This is another clip: its content is not the one that was taken in. Choose the file it was copied from.</source>
        <translation>Das ist eine andere Aufnahme: ihr Inhalt ist nicht der hereingenommene. Die Datei wählen, von der kopiert wurde.</translation>
    </message>
    <message>
        <source>A backup is restored into an empty folder. Choose another one.</source>
        <translation>Eine Sicherung wird in einen leeren Ordner zurückgeholt. Bitte einen anderen wählen.</translation>
    </message>
    <message>
        <source>A value is not usable: %1.</source>
        <translation>Ein Wert ist nicht brauchbar: %1.</translation>
    </message>
    <message>
        <source>Nobody was found in this clip for long enough. Film in better light, with the whole body in the picture.</source>
        <translation>In dieser Aufnahme wurde niemand lang genug gefunden. Bei besserem Licht filmen, der ganze Körper im Bild.</translation>
    </message>
    <message>
        <source>The clip is too short to judge. A whole repetition is needed.</source>
        <translation>Die Aufnahme ist zu kurz. Eine ganze Wiederholung ist nötig.</translation>
    </message>
    <message>
        <source>The feet are cut off. Step back or tilt the phone down, so that the floor shows below both feet.</source>
        <translation>Die Füße sind abgeschnitten. Weiter zurückgehen oder das Telefon neigen, bis unter beiden Füßen Boden zu sehen ist.</translation>
    </message>
    <message>
        <source>The student is too small in the picture. Film from closer.</source>
        <translation>Die Übende ist zu klein im Bild. Aus größerer Nähe filmen.</translation>
    </message>
    <message>
        <source>Filmed obliquely. Judge it again: what can be told from there is measured now.</source>
        <translation>Schräg gefilmt. Neu beurteilen: was von dort zu sehen ist, wird jetzt gemessen.</translation>
    </message>
    <message>
        <source>Clips of several cameras cannot be put together yet. Review them one by one.</source>
        <translation>Aufnahmen mehrerer Kameras lassen sich noch nicht zusammenlegen. Bitte einzeln durchsehen.</translation>
    </message>
    <message>
        <source>Choose the view this clip was filmed from.</source>
        <translation>Bitte wählen, von wo gefilmt wurde.</translation>
    </message>
    <message>
        <source>On no frame of this stretch can it be hidden who it is. Choose another correction, or let it be seen.</source>
        <translation>Auf keinem Bild dieses Abschnitts lässt sich verbergen, wer es ist. Eine andere Korrektur wählen oder es sehen lassen.</translation>
    </message>
    <message>
        <source>Finding the body was stopped. Choose “Change …” and save to start again.</source>
        <translation>Das Suchen des Körpers wurde angehalten. „Ändern …“ wählen und speichern, um neu zu beginnen.</translation>
    </message>
    <message>
        <source>Knees follow the toes; no twist under load. Pain means stop, or make it smaller.</source>
        <translation>Die Knie folgen den Zehen; keine Drehung unter Last. Schmerz heißt aufhören oder kleiner werden.</translation>
    </message>
    <message>
        <source>Keep a chair or wall in reach for steps and one-leg moments; steadier side first.</source>
        <translation>Bei Schritten und auf einem Bein einen Stuhl oder eine Wand in Reichweite; die sicherere Seite zuerst.</translation>
    </message>
    <message>
        <source>If you feel dizzy, sit down.</source>
        <translation>Bei Schwindel hinsetzen.</translation>
    </message>
    <message>
        <source>Hands overhead only as high as stays easy; if you feel dizzy, lower them and sit down.</source>
        <translation>Die Hände nur so hoch über den Kopf, wie es leicht bleibt; bei Schwindel senken und hinsetzen.</translation>
    </message>
    <message>
        <source>Bend with soft knees, and come up slowly.</source>
        <translation>Mit weichen Knien beugen und langsam hochkommen.</translation>
    </message>
    <message>
        <source>Pain means stop or make it smaller. New to practice, pregnant, after surgery, or with heart, blood-pressure, eye, back or bone conditions: ask a licensed clinician first. These remarks describe form; figures from one camera carry the error stated beside them.</source>
        <translation>Schmerz heißt aufhören oder kleiner werden. Neu im Üben, schwanger, nach einer Operation oder mit Leiden an Herz, Blutdruck, Augen, Rücken oder Knochen: zuerst ärztlichen Rat holen. Diese Worte beschreiben die Form; Werte aus einer Kamera tragen den Fehler, der bei ihnen steht.</translation>
    </message>
    <message>
        <source>%1 (leading side)</source>
        <translation>%1 (führende Seite)</translation>
    </message>
    <message>
        <source>%1 (rear side)</source>
        <translation>%1 (hintere Seite)</translation>
    </message>
    <message>
        <source>%1 in %2</source>
        <translation>%1 in %2</translation>
    </message>
    <message>
        <source>%1 against the reference at the same moment</source>
        <translation>%1 gegen die Referenz im selben Augenblick</translation>
    </message>
    <message>
        <source>Looked at in: %1</source>
        <translation>Betrachtet in: %1</translation>
    </message>
    <message>
        <source>Not looked at in: %1</source>
        <translation>Nicht betrachtet in: %1</translation>
    </message>
    <message>
        <source>One camera cannot tell it</source>
        <translation>Eine Kamera allein zeigt es nicht</translation>
    </message>
    <message>
        <source>the body was not found</source>
        <translation>der Körper wurde nicht gefunden</translation>
    </message>
    <message>
        <source>feet cut off</source>
        <translation>Füße abgeschnitten</translation>
    </message>
    <message>
        <source>head cut off</source>
        <translation>Kopf abgeschnitten</translation>
    </message>
    <message>
        <source>too small in the picture</source>
        <translation>zu klein im Bild</translation>
    </message>
    <message>
        <source>too dark</source>
        <translation>zu dunkel</translation>
    </message>
    <message>
        <source>the camera trembles</source>
        <translation>die Kamera zittert</translation>
    </message>
    <message>
        <source>the camera moves along</source>
        <translation>die Kamera bewegt sich mit</translation>
    </message>
    <message>
        <source>seen from one side, then from another</source>
        <translation>erst von einer Seite, dann von einer anderen gesehen</translation>
    </message>
    <message>
        <source>this movement is told better from elsewhere</source>
        <translation>diese Bewegung zeigt sich von woanders besser</translation>
    </message>
    <message>
        <source>too few pictures a second</source>
        <translation>zu wenige Bilder in der Sekunde</translation>
    </message>
    <message>
        <source>several people in the picture</source>
        <translation>mehrere Menschen im Bild</translation>
    </message>
    <message>
        <source>the knees wander under loose clothes</source>
        <translation>die Knie wandern unter weiter Kleidung</translation>
    </message>
    <message>
        <source>Stay in the picture for the whole clip, in good light.</source>
        <translation>Die ganze Aufnahme lang im Bild bleiben, bei gutem Licht.</translation>
    </message>
    <message>
        <source>Step back or tilt the phone down, until floor shows below both feet.</source>
        <translation>Weiter zurückgehen oder das Telefon neigen, bis unter beiden Füßen Boden zu sehen ist.</translation>
    </message>
    <message>
        <source>Step back or tilt the phone up, until there is room above the head and the raised hands.</source>
        <translation>Weiter zurückgehen oder das Telefon heben, bis über Kopf und erhobenen Händen Platz ist.</translation>
    </message>
    <message>
        <source>Film from closer: the body should fill about two thirds of the picture&apos;s height.</source>
        <translation>Aus größerer Nähe filmen: der Körper soll etwa zwei Drittel der Bildhöhe füllen.</translation>
    </message>
    <message>
        <source>More light, and from the side of the camera, not from behind the student.</source>
        <translation>Mehr Licht, und von der Seite der Kamera, nicht von hinten.</translation>
    </message>
    <message>
        <source>Put the phone on a shelf or a stand; do not hold it.</source>
        <translation>Das Telefon auf ein Regal oder Stativ stellen, nicht halten.</translation>
    </message>
    <message>
        <source>Let the phone stand still: the student moves, not the camera.</source>
        <translation>Das Telefon stehen lassen: es bewegt sich der Mensch, nicht die Kamera.</translation>
    </message>
    <message>
        <source>Keep facing the same way, and film each side in a clip of its own.</source>
        <translation>In dieselbe Richtung gewandt bleiben und jede Seite für sich filmen.</translation>
    </message>
    <message>
        <source>Film it once more from the side that is named in the filming guide.</source>
        <translation>Noch einmal von der Seite filmen, die in der Filmanleitung steht.</translation>
    </message>
    <message>
        <source>Set the phone to thirty pictures a second; dim light can slow it down.</source>
        <translation>Das Telefon auf dreißig Bilder in der Sekunde stellen; schwaches Licht kann es verlangsamen.</translation>
    </message>
    <message>
        <source>Film one person alone.</source>
        <translation>Einen Menschen allein filmen.</translation>
    </message>
    <message>
        <source>Wear trousers that show the knees.</source>
        <translation>Hosen tragen, die die Knie zeigen.</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
    <message>
        <source>nothing can be judged</source>
        <translation>nichts ist zu beurteilen</translation>
    </message>
    <message>
        <source>nothing is judged there</source>
        <translation>dort wird nichts beurteilt</translation>
    </message>
    <message>
        <source>less sure about %1</source>
        <translation>weniger sicher bei %1</translation>
    </message>
    <message>
        <source>nose</source>
        <translation>Nase</translation>
    </message>
    <message>
        <source>eye</source>
        <translation>Auge</translation>
    </message>
    <message>
        <source>ear</source>
        <translation>Ohr</translation>
    </message>
    <message>
        <source>shoulder</source>
        <translation>Schulter</translation>
    </message>
    <message>
        <source>elbow</source>
        <translation>Ellbogen</translation>
    </message>
    <message>
        <source>wrist</source>
        <translation>Handgelenk</translation>
    </message>
    <message>
        <source>thumb</source>
        <translation>Daumen</translation>
    </message>
    <message>
        <source>index finger</source>
        <translation>Zeigefinger</translation>
    </message>
    <message>
        <source>little finger</source>
        <translation>kleiner Finger</translation>
    </message>
    <message>
        <source>hip</source>
        <translation>Hüfte</translation>
    </message>
    <message>
        <source>knee</source>
        <translation>Knie</translation>
    </message>
    <message>
        <source>ankle</source>
        <translation>Knöchel</translation>
    </message>
    <message>
        <source>heel</source>
        <translation>Ferse</translation>
    </message>
    <message>
        <source>toe tip</source>
        <translation>Zehenspitze</translation>
    </message>
    <message>
        <source>to %1</source>
        <translation>bis %1</translation>
    </message>
    <message>
        <source>from %1</source>
        <translation>ab %1</translation>
    </message>
    <message>
        <source>Told by the clip %1.</source>
        <translation>Nach dem Clip %1.</translation>
    </message>
    <message>
        <source>The clip %1 says otherwise: %2. Look at both pictures before you say it.</source>
        <translation>Der Clip %1 sagt anderes: %2. Beide Bilder ansehen, bevor es gesagt wird.</translation>
    </message>
    <message>
        <source>The clip %1 tells it less surely: %2.</source>
        <translation>Der Clip %1 sagt es weniger sicher: %2.</translation>
    </message>
    <message>
        <source>%2 %1</source>
        <comment>a point of the body after its side</comment>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>cut off at the side</source>
        <translation>am Rand abgeschnitten</translation>
    </message>
    <message>
        <source>too bright</source>
        <translation>zu hell</translation>
    </message>
    <message>
        <source>hardly any contrast</source>
        <translation>kaum Kontrast</translation>
    </message>
    <message>
        <source>blurred</source>
        <translation>unscharf</translation>
    </message>
    <message>
        <source>the phone stands aslant</source>
        <translation>das Telefon steht schief</translation>
    </message>
    <message>
        <source>the phone looks up or down steeply</source>
        <translation>das Telefon blickt steil nach oben oder unten</translation>
    </message>
    <message>
        <source>the legs are hidden</source>
        <translation>die Beine sind verdeckt</translation>
    </message>
    <message>
        <source>pictures are missing in between</source>
        <translation>dazwischen fehlen Bilder</translation>
    </message>
    <message>
        <source>very short</source>
        <translation>sehr kurz</translation>
    </message>
    <message>
        <source>from there on somebody else, or a cut in the film</source>
        <translation>ab da jemand anderes oder ein Schnitt im Film</translation>
    </message>
    <message>
        <source>Stand in the middle and step back, until there is room for both arms stretched out.</source>
        <translation>Stell dich in die Mitte und geh zurück, bis beide ausgestreckten Arme Platz haben.</translation>
    </message>
    <message>
        <source>Turn the phone away from the window or the lamp, or draw a curtain.</source>
        <translation>Dreh das Telefon vom Fenster oder der Lampe weg oder zieh einen Vorhang zu.</translation>
    </message>
    <message>
        <source>Wipe the lens, and wear something that stands out from the wall.</source>
        <translation>Wisch das Objektiv ab und trag etwas, das sich von der Wand abhebt.</translation>
    </message>
    <message>
        <source>Wipe the lens, let the phone focus on the student, and film in better light.</source>
        <translation>Wisch das Objektiv ab, lass das Telefon scharfstellen und film in besserem Licht.</translation>
    </message>
    <message>
        <source>Set the phone upright or level; a door frame shows whether it is.</source>
        <translation>Stell das Telefon gerade; ein Türrahmen zeigt, ob es so ist.</translation>
    </message>
    <message>
        <source>Put the phone at hip height, so that it looks straight ahead.</source>
        <translation>Stell das Telefon auf Hüfthöhe, sodass es geradeaus blickt.</translation>
    </message>
    <message>
        <source>Clear what stands before the legs, and film again.</source>
        <translation>Räum weg, was vor den Beinen steht, und film noch einmal.</translation>
    </message>
    <message>
        <source>Film again with room left on the phone, and send the original file.</source>
        <translation>Film noch einmal mit freiem Platz auf dem Telefon und schick die ursprüngliche Datei.</translation>
    </message>
    <message>
        <source>Film three repetitions a side, with a quiet stand before and after.</source>
        <translation>Film drei Wiederholungen je Seite, mit ruhigem Stand davor und danach.</translation>
    </message>
    <message>
        <source>Keep others out of the picture, or cut the clip where it changes.</source>
        <translation>Halte andere aus dem Bild oder schneide den Clip, wo es wechselt.</translation>
    </message>
    <message>
        <source>Too little of the room can be followed to take the shake out. Film with the phone on a shelf or a stand.</source>
        <translation>Vom Raum ist zu wenig zu verfolgen, um das Wackeln herauszunehmen. Film mit dem Telefon auf einem Regal oder Stativ.</translation>
    </message>
    <message>
        <source>The camera changed its place, which cannot be taken out. Film with the phone on a shelf or a stand.</source>
        <translation>Die Kamera hat ihren Platz gewechselt, das ist nicht herauszunehmen. Film mit dem Telefon auf einem Regal oder Stativ.</translation>
    </message>
    <message>
        <source>The files of the body finder are missing. Set Bevel up again with “./run build”, then try once more; or set the body by hand.</source>
        <translation>Die Dateien der Körpersuche fehlen. Bevel mit „./run build“ neu einrichten und noch einmal versuchen; oder den Körper von Hand setzen.</translation>
    </message>
    <message>
        <source>Seen: %1, %2</source>
        <translation>Gesehen: %1, %2</translation>
    </message>
    <message>
        <source>Seen: %1</source>
        <translation>Gesehen: %1</translation>
    </message>
    <message>
        <source>No arms overhead</source>
        <translation>Keine Arme über Kopf</translation>
    </message>
    <message>
        <source>No standing on one leg</source>
        <translation>Kein Stehen auf einem Bein</translation>
    </message>
    <message>
        <source>Practises seated</source>
        <translation>Übt im Sitzen</translation>
    </message>
    <message>
        <source>No forward bends</source>
        <translation>Keine Vorbeugen</translation>
    </message>
    <message>
        <source>No twists</source>
        <translation>Keine Drehungen</translation>
    </message>
    <message>
        <source>High stances only</source>
        <translation>Nur hohe Stände</translation>
    </message>
    <message>
        <source>Something seen</source>
        <translation>Etwas Gesehenes</translation>
    </message>
    <message>
        <source>Not sent. %1.</source>
        <translation>Nicht verschickt. %1.</translation>
    </message>
    <message>
        <source>Not sent: “%1” is no longer outside its band in this clip, or cannot be told. Look at it in the review, or leave it out.</source>
        <translation>Nicht verschickt: „%1“ ist in diesem Clip nicht mehr außerhalb oder nicht zu sagen. Sieh es in der Durchsicht an oder lass es weg.</translation>
    </message>
    <message>
        <source>%1: %2, outside, at %3</source>
        <translation>%1: %2, außerhalb, bei %3</translation>
    </message>
    <message>
        <source>In “%1”: %2</source>
        <comment>a part of the movement, a sentence of praise</comment>
        <translation>In „%1“: %2</translation>
    </message>
    <message>
        <source>both sides</source>
        <translation>beide Seiten</translation>
    </message>
    <message>
        <source>in every part, most in “%1”</source>
        <translation>in jedem Teil, am meisten in „%1“</translation>
    </message>
    <message>
        <source>“%1”</source>
        <comment>a part of the movement</comment>
        <translation>„%1“</translation>
    </message>
    <message>
        <source>in %1 alone</source>
        <translation>nur in %1</translation>
    </message>
    <message>
        <source>most in %1, in %2 too</source>
        <translation>am meisten in %1, auch in %2</translation>
    </message>
    <message>
        <source>%1: %2, where the figure itself asks for %3</source>
        <translation>%1: %2, wo die Figur selbst %3 verlangt</translation>
    </message>
    <message>
        <source>This clip looks like another movement. Say in Review which one it is; then a letter can be written.</source>
        <translation>Diese Aufnahme sieht nach einer anderen Bewegung aus. In der Durchsicht sagen, welche es ist; dann kann ein Brief geschrieben werden.</translation>
    </message>
    <message>
        <source>Nothing in the clip looks like this movement. Check that the right movement is chosen; as “Something else” its figures are measured, and what may hurt is told.</source>
        <translation>Nichts in der Aufnahme sieht nach dieser Bewegung aus. Ist die richtige Bewegung gewählt? Als „Etwas anderes“ werden ihre Zahlen gemessen, und was schaden kann, wird gesagt.</translation>
    </message>
    <message>
        <source>for practice plans and reviews</source>
        <translation>für Übungspläne und Durchsichten</translation>
    </message>
    <message>
        <source>Held against the quiet stand of this clip: what is there all the time does not show.</source>
        <translation>Gehalten gegen den ruhigen Stand in diesem Clip: Was immer da ist, zeigt sich nicht.</translation>
    </message>
    <message>
        <source>The clip lasts longer than three hours, or one of its time stamps leaps. Cut it to the part that matters.</source>
        <translation>Der Clip dauert länger als drei Stunden, oder einer seiner Zeitstempel springt. Schneide ihn auf den Teil zu, auf den es ankommt.</translation>
    </message>
    <message>
        <source>The time stamps of the clip do not increase from frame to frame. Save it again as MP4 and take it in once more.</source>
        <translation>Die Zeitstempel des Clips nehmen nicht von Bild zu Bild zu. Speichere ihn neu als MP4 und nimm ihn noch einmal auf.</translation>
    </message>
    <message>
        <source>Held against what was marked as right for this student.</source>
        <translation>Gemessen an dem, was für diesen Schüler als richtig markiert ist.</translation>
    </message>
    <message>
        <source>Care for the knees</source>
        <translation>Rücksicht auf die Knie</translation>
    </message>
    <message>
        <source>Care for the low back</source>
        <translation>Rücksicht auf den unteren Rücken</translation>
    </message>
    <message>
        <source>Care for the neck</source>
        <translation>Rücksicht auf den Nacken</translation>
    </message>
    <message>
        <source>Care for the shoulders</source>
        <translation>Rücksicht auf die Schultern</translation>
    </message>
    <message>
        <source>In %1 are films, but the library&apos;s own file is missing or empty. Nothing was changed. Restore a backup, or put library.sqlite back.</source>
        <translation>In %1 sind Filme, aber die Datei der Bibliothek fehlt oder ist leer. Nichts wurde verändert. Stelle eine Sicherung wieder her, oder lege library.sqlite zurück.</translation>
    </message>
    <message>
        <source>The library is damaged: %1. Nothing was changed. Restore a backup; what can still be read can be looked at.</source>
        <translation>Die Bibliothek ist beschädigt: %1. Nichts wurde verändert. Stelle eine Sicherung wieder her; was noch lesbar ist, lässt sich ansehen.</translation>
    </message>
    <message>
        <source>There is no room left where the library is: %1. Make room, then try again. Nothing was changed.</source>
        <translation>Wo die Bibliothek liegt, ist kein Platz mehr: %1. Schaffe Platz und versuche es dann noch einmal. Nichts wurde verändert.</translation>
    </message>
    <message>
        <source>The library cannot be opened: %1. Check that the disk is there and that you may read and write in it.</source>
        <translation>Die Bibliothek lässt sich nicht öffnen: %1. Prüfe, ob der Datenträger da ist und ob du darin lesen und schreiben darfst.</translation>
    </message>
    <message>
        <source>These films are no longer what they were when they came, or cannot be read: %1. Nothing was written; go on without them, or take them in again first.</source>
        <translation>Diese Filme sind nicht mehr, was sie waren, als sie kamen, oder lassen sich nicht lesen: %1. Nichts wurde geschrieben; mach ohne sie weiter, oder nimm sie zuerst noch einmal auf.</translation>
    </message>
    <message>
        <source>This library was made by a newer Bevel, is damaged, or its folder cannot be written to: it is open for reading only. Nothing was changed.</source>
        <translation>Diese Bibliothek wurde von einem neueren Bevel gemacht, ist beschädigt, oder in ihren Ordner lässt sich nicht schreiben: sie ist nur zum Lesen geöffnet. Nichts wurde verändert.</translation>
    </message>
    <message>
        <source>“%1” is no e-mail address that can be handed to the mail program. Change it under People.</source>
        <translation>„%1“ ist keine E-Mail-Adresse, die dem Mailprogramm übergeben werden kann. Ändere sie unter Menschen.</translation>
    </message>
    <message>
        <source>This is no day between 1900 and 2199.</source>
        <translation>Das ist kein Tag zwischen 1900 und 2199.</translation>
    </message>
    <message>
        <source>Looking for the body in this clip ended Bevel twice. It is left alone now; save it again as MP4 and take that in, or choose “Change …” to try once more.</source>
        <translation>Die Suche nach dem Körper in dieser Aufnahme hat Bevel zweimal beendet. Sie bleibt jetzt in Ruhe; speichere sie noch einmal als MP4 und nimm das auf, oder wähle „Ändern …“, um es noch einmal zu versuchen.</translation>
    </message>
    <message>
        <source>Judged again. The review is ready.</source>
        <translation>Neu beurteilt. Die Durchsicht ist fertig.</translation>
    </message>
    <message>
        <source>Go to Arrivals to say whose clip this is and what it shows.</source>
        <translation>Unter „Eingang“ lässt sich sagen, von wem der Clip ist und was er zeigt.</translation>
    </message>
    <message>
        <source>Held against a moment of this very clip that was marked as right: nothing is praised for it.</source>
        <translation>Gemessen an einem Moment eben dieses Clips, der als richtig markiert wurde: Gelobt wird dafür nichts.</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <comment>name and number of a part</comment>
        <translation>%1 (%2)</translation>
    </message>
    <message numerus="yes">
        <source>in %n part(s), most in %1</source>
        <translation>
            <numerusform>in %n Teil, am meisten in %1</numerusform>
            <numerusform>in %n Teilen, am meisten in %1</numerusform>
        </translation>
    </message>
    <message>
        <source>in %1</source>
        <comment>parts of a form</comment>
        <translation>in %1</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <comment>part of a form: phase</comment>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>d MMM</source>
        <comment>a day of this year, as QDate writes it</comment>
        <translation>d. MMM</translation>
    </message>
    <message>
        <source>d MMM yyyy</source>
        <comment>a day, as QDate writes it</comment>
        <translation>d. MMM yyyy</translation>
    </message>
    <message>
        <source>What is looked at</source>
        <translation>Was angesehen wird</translation>
    </message>
    <message>
        <source>What is asked</source>
        <translation>Was verlangt ist</translation>
    </message>
    <message>
        <source>Why not</source>
        <translation>Warum nicht</translation>
    </message>
    <message>
        <source>How sure it is</source>
        <translation>Wie sicher es ist</translation>
    </message>
    <message>
        <source>Where it shows</source>
        <translation>Wo es sich zeigt</translation>
    </message>
    <message>
        <source>Each time</source>
        <translation>Jedes Mal</translation>
    </message>
    <message>
        <source>What it hangs together with</source>
        <translation>Womit es zusammenhängt</translation>
    </message>
    <message>
        <source>%1: less than asked</source>
        <translation>%1: weniger als verlangt</translation>
    </message>
    <message>
        <source>%1: more than asked</source>
        <translation>%1: mehr als verlangt</translation>
    </message>
    <message>
        <source>%1, on both sides</source>
        <comment>what is seen</comment>
        <translation>%1, auf beiden Seiten</translation>
    </message>
    <message>
        <source>Not sent: a clip that this letter answers too is gone, or is another person&apos;s by now. Open the letter again and choose anew.</source>
        <translation>Nicht verschickt: Eine Aufnahme, auf die dieser Brief auch antwortet, ist fort oder gehört inzwischen jemand anderem. Bitte den Brief neu öffnen und neu wählen.</translation>
    </message>
    <message>
        <source>Even small and coarse, the clip is larger than that. Choose a larger size; nothing was saved.</source>
        <translation>Auch klein und grob ist der Film größer. Bitte eine größere Größe wählen; es wurde nichts gespeichert.</translation>
    </message>
    <message>
        <source>Nobody is here: a lesson is made for those who are.</source>
        <translation>Niemand ist da: Eine Stunde wird für die gemacht, die da sind.</translation>
    </message>
    <message>
        <source>X puts the other clip first.</source>
        <translation>X stellt die andere Aufnahme voran.</translation>
    </message>
    <message>
        <source>Whether both were filmed at once is not known yet.</source>
        <translation>Ob beide zugleich gefilmt wurden, ist noch nicht bekannt.</translation>
    </message>
    <message>
        <source>The other clip shows too little of this one to stand for it: each figure is told from the clip that shows it surer.</source>
        <translation>Die andere Aufnahme zeigt zu wenig von dieser, um für sie zu stehen: Jede Angabe kommt aus der Aufnahme, die sie sicherer zeigt.</translation>
    </message>
    <message>
        <source>The two clips do not show one performance at once: each figure is told from the clip that shows it surer.</source>
        <translation>Die beiden Aufnahmen zeigen nicht dieselbe Ausführung: Jede Angabe kommt aus der Aufnahme, die sie sicherer zeigt.</translation>
    </message>
    <message>
        <source>Both clips show one performance: their clocks differ by %1 s ± %2 s, and the two phones stand %3° apart. Each figure is told from both together or from one alone, whichever is surer.</source>
        <translation>Beide Aufnahmen zeigen eine Ausführung: Ihre Uhren gehen um %1 s ± %2 s auseinander, und die beiden Telefone stehen %3° auseinander. Jede Angabe kommt aus beiden zusammen oder aus einer allein, je nachdem, was sicherer ist.</translation>
    </message>
    <message>
        <source>Filmed obliquely: one body is being fitted to the whole clip, to tell what the view hides.</source>
        <translation>Schräg gefilmt: An den ganzen Clip wird gerade ein Körper angepasst, der sagt, was die Ansicht verdeckt.</translation>
    </message>
    <message>
        <source>Filmed obliquely, and no one body fits the whole clip: what the view hides cannot be told. Film from the front or from the side.</source>
        <translation>Schräg gefilmt, und kein Körper passt zum ganzen Clip: Was die Ansicht verdeckt, lässt sich nicht sagen. Von vorne oder von der Seite filmen.</translation>
    </message>
    <message>
        <source>Filmed obliquely: knee bend, thigh, knee past the toe, toe-out, stance length and turns are of one body fitted to the whole clip, with wider errors. From the front or from the side they are told surer.</source>
        <translation>Schräg gefilmt: Kniebeugung, Oberschenkel, Knie vor der Zehe, Fußöffnung, Standlänge und Drehungen stammen von einem Körper, der an den ganzen Clip angepasst ist, mit größeren Fehlern. Von vorne oder von der Seite sind sie sicherer.</translation>
    </message>
    <message>
        <source>plain</source>
        <comment>how hard a clip is</comment>
        <translation>grob</translation>
    </message>
    <message>
        <source>clear</source>
        <comment>how hard a clip is</comment>
        <translation>deutlich</translation>
    </message>
    <message>
        <source>several</source>
        <comment>how hard a clip is</comment>
        <translation>mehrere</translation>
    </message>
    <message>
        <source>small</source>
        <comment>how hard a clip is</comment>
        <translation>klein</translation>
    </message>
    <message>
        <source>fine</source>
        <comment>how hard a clip is</comment>
        <translation>fein</translation>
    </message>
    <message>
        <source>One thing, large, and six to choose from.</source>
        <translation>Eine Sache, groß, und sechs zur Wahl.</translation>
    </message>
    <message>
        <source>One thing, clear, and twelve to choose from.</source>
        <translation>Eine Sache, deutlich, und zwölf zur Wahl.</translation>
    </message>
    <message>
        <source>Two or three things, clear; any of the movement&apos;s.</source>
        <translation>Zwei oder drei Sachen, deutlich; aus allem, was die Bewegung hat.</translation>
    </message>
    <message>
        <source>Up to three things, small, from any side; or nothing at all.</source>
        <translation>Bis zu drei Sachen, klein, von irgendeiner Seite; oder gar nichts.</translation>
    </message>
    <message>
        <source>Up to three things, small, and not in every repetition; or nothing at all.</source>
        <translation>Bis zu drei Sachen, klein und nicht in jeder Wiederholung; oder gar nichts.</translation>
    </message>
    <message>
        <source>no side</source>
        <translation>keine Seite</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <comment>what is seen, on which side</comment>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>%1, at %2</source>
        <comment>what is seen, the moment</comment>
        <translation>%1, bei %2</translation>
    </message>
    <message>
        <source>%1, at %2 (%3)</source>
        <comment>what is seen, the moment, the part of the movement</comment>
        <translation>%1, bei %2 (%3)</translation>
    </message>
    <message>
        <source>most of the time</source>
        <translation>die meiste Zeit</translation>
    </message>
    <message>
        <source>most at %1</source>
        <translation>am meisten bei %1</translation>
    </message>
    <message>
        <source>%1, asked: %2</source>
        <translation>%1, verlangt: %2</translation>
    </message>
    <message>
        <source>missed</source>
        <translation>übersehen</translation>
    </message>
    <message>
        <source>found</source>
        <translation>gefunden</translation>
    </message>
    <message>
        <source>said again</source>
        <translation>noch einmal gesagt</translation>
    </message>
    <message>
        <source>not there</source>
        <translation>nicht da</translation>
    </message>
    <message>
        <source>at the edge: not counted</source>
        <translation>am Rand: zählt nicht</translation>
    </message>
    <message>
        <source>cannot be told from here: not counted</source>
        <translation>von hier nicht zu sagen: zählt nicht</translation>
    </message>
    <message>
        <source>Nothing is there, and nothing was said that is not</source>
        <translation>Nichts ist da, und nichts wurde gesagt, was nicht da ist</translation>
    </message>
    <message>
        <source>Nothing is there</source>
        <translation>Nichts ist da</translation>
    </message>
    <message>
        <source>%1 of %2 found</source>
        <translation>%1 von %2 gefunden</translation>
    </message>
    <message>
        <source>said, and not there: %1</source>
        <translation>gesagt und nicht da: %1</translation>
    </message>
    <message>
        <source>Sides: %1 of %2 right.</source>
        <translation>Seiten: %1 von %2 richtig.</translation>
    </message>
    <message>
        <source>Moments: %1 of %2 right.</source>
        <translation>Momente: %1 von %2 richtig.</translation>
    </message>
    <message>
        <source>Order: %1 of %2 pairs as they would be said.</source>
        <translation>Reihenfolge: %1 von %2 Paaren, wie man sie sagen würde.</translation>
    </message>
    <message>
        <source>What you say first is what comes first.</source>
        <translation>Was Sie zuerst sagen, kommt zuerst.</translation>
    </message>
    <message>
        <source>Something else comes first: what can hurt, then from the ground up.</source>
        <translation>Etwas anderes kommt zuerst: was schaden kann, dann vom Boden aufwärts.</translation>
    </message>
    <message>
        <source>Nothing was looked at yet.</source>
        <translation>Noch wurde nichts angeschaut.</translation>
    </message>
    <message numerus="yes">
        <source>%n clip(s)</source>
        <translation>
            <numerusform>%n Clip</numerusform>
            <numerusform>%n Clips</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 of %2 things found</source>
        <translation>%1 von %2 Sachen gefunden</translation>
    </message>
    <message>
        <source>%1 of %2 pairs in order</source>
        <translation>%1 von %2 Paaren in der Reihenfolge</translation>
    </message>
    <message>
        <source>the first one right in %1 of %2</source>
        <translation>das Erste richtig in %1 von %2</translation>
    </message>
    <message>
        <source>%1 of %2 clips with nothing in them left alone</source>
        <translation>%1 von %2 Clips ohne Fehler in Ruhe gelassen</translation>
    </message>
    <message>
        <source>nothing was there</source>
        <translation>nichts war da</translation>
    </message>
    <message>
        <source>Begin with what is plain.</source>
        <translation>Beginnen Sie mit dem Groben.</translation>
    </message>
    <message>
        <source>Go on with “%1”.</source>
        <translation>Bleiben Sie bei „%1“.</translation>
    </message>
    <message>
        <source>Nothing missed in the last four clips, and nothing said that was not there: try “%1”.</source>
        <translation>In den letzten vier Clips nichts übersehen und nichts gesagt, was nicht da war: Versuchen Sie „%1“.</translation>
    </message>
    <message>
        <source>Less than half was found in the last three clips: go back to “%1” for a while.</source>
        <translation>In den letzten drei Clips wurde weniger als die Hälfte gefunden: Gehen Sie eine Weile zurück zu „%1“.</translation>
    </message>
    <message>
        <source>missed %1 of %2 times</source>
        <translation>%1 von %2 Mal übersehen</translation>
    </message>
    <message numerus="yes">
        <source>said %n time(s) where it was not</source>
        <translation>
            <numerusform>%n Mal gesagt, wo es nicht war</numerusform>
            <numerusform>%n Mal gesagt, wo es nicht war</numerusform>
        </translation>
    </message>
    <message>
        <source>Look at this most, %1: %2 (%3).</source>
        <comment>from which view, what, how often</comment>
        <translation>Achten Sie am meisten darauf, %1: %2 (%3).</translation>
    </message>
    <message>
        <source>the body was not found here</source>
        <translation>der Körper wurde hier nicht gefunden</translation>
    </message>
    <message>
        <source>faces another way here than the rest of the clip</source>
        <translation>schaut hier anderswohin als im übrigen Clip</translation>
    </message>
</context>
</TS>
