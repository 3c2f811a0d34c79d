package dev.yarbel.web.book;

import dev.yarbel.core.adjust.AskLifter;
import dev.yarbel.core.adjust.AskLifter.Asking;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.SetDetails.MissedBy;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What coaches ask lifters about logged sets. An answer corrects the set, and whoever looks at the session looks again. */
@Service
@Transactional
public class LifterQuestions {

    /** The load stands as it was written. */
    public static final String AS_WRITTEN = "AS_WRITTEN";

    /** It was written in the other unit, or without the bar. */
    public static final String OTHER_LOAD = "OTHER_LOAD";

    private final LifterQuestionRepository questions;
    private final Sessions sessions;
    private final Clock clock;

    LifterQuestions(LifterQuestionRepository questions, Sessions sessions, Clock clock) {
        this.questions = questions;
        this.sessions = sessions;
        this.clock = clock;
    }

    /**
     * A question that waits for an answer.
     *
     * @param by who asks
     * @param set what it is about
     * @param other what the load may have been, where that is the question
     */
    public record Open(long id, String by, LocalDate date, Asking asking, LiftedSet set, Optional<Mass> other) {}

    /** Asks, within the caller's transaction; what was asked of a set before is not asked again. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void ask(Person coach, LifterCard lifter, long session, AskLifter question) {
        if (!questions.existsByClubIdAndSessionIdAndTask(
                lifter.clubId(), session, question.about().task().toString())) {
            questions.save(new LifterQuestion(
                            lifter.clubId(),
                            lifter.id(),
                            session,
                            question.about().task(),
                            question.asking())
                    .asked(clock.instant(), coach.personName(), question.otherLoad()));
        }
    }

    /** Takes back what was asked about the sets of a lift in a session and not answered yet. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void withdraw(LifterCard lifter, long session, Lift lift) {
        questions.withdraw(lifter.clubId(), session, lift);
    }

    /** Those that wait for an answer, oldest first. */
    @Transactional(readOnly = true)
    public List<Open> open(LifterCard lifter) {
        return questions.findOpen(lifter.clubId(), lifter.id()).stream()
                .map(row -> {
                    LifterQuestion question = (LifterQuestion) row[0];
                    return new Open(
                            question.id(),
                            question.askedByName(),
                            ((TrainingSession) row[2]).heldOn(),
                            question.kind(),
                            ((LoggedSet) row[1]).done().set(),
                            question.otherLoad());
                })
                .toList();
    }

    /**
     * Answers a question; one that was answered meanwhile stays as it was answered.
     *
     * @param answer why it was missed, which load it was, or what became of the sets
     * @param words more of it, to stand beside the set
     * @throws NotFoundException when there is no such question
     * @throws UnreadableException when that is no answer to it, or the words are too long
     */
    public void answer(Person person, LifterCard lifter, long id, String answer, Optional<String> words) {
        LifterQuestion question =
                questions.lock(lifter.clubId(), lifter.id(), id).orElseThrow(NotFoundException::new);
        if (question.isOpen()) {
            if (question.kind() == Asking.HOW_MANY_SETS) {
                sessions.count(
                        lifter,
                        question.sessionId(),
                        Reading.find(SessionRatings.CountSaid.class, answer).orElseThrow(LifterQuestions::noAnswer));
            }
            sessions.correct(
                    person,
                    lifter,
                    question.sessionId(),
                    question.task(),
                    set -> noted(answered(question, set, answer), words));
            question.answer(answer, clock.instant());
        }
    }

    private static LiftedSet answered(LifterQuestion question, LiftedSet set, String answer) {
        return switch (question.kind()) {
            case WHAT_HAPPENED ->
                set.with(set.details()
                        .missed(Reading.find(MissedBy.class, answer).orElseThrow(LifterQuestions::noAnswer)));
            case WHICH_UNIT, WITH_THE_BAR ->
                switch (answer) {
                    case AS_WRITTEN -> set;
                    case OTHER_LOAD ->
                        new LiftedSet(
                                set.lift(),
                                question.otherLoad().orElseThrow(LifterQuestions::noAnswer),
                                set.reps(),
                                set.effort(),
                                set.details());
                    default -> throw noAnswer();
                };
            // how many there were is said of the session
            case HOW_MANY_SETS -> set;
        };
    }

    private static UnreadableException noAnswer() {
        return new UnreadableException("read.choice").in("answer");
    }

    /** Beside what stands there already. */
    private static LiftedSet noted(LiftedSet set, Optional<String> words) {
        if (words.isEmpty()) {
            return set;
        }
        String all =
                set.details().note().map(before -> before + " " + words.get()).orElse(words.get());
        if (all.length() > SetDetails.LONGEST_NOTE) {
            throw new UnreadableException("read.words", SetDetails.LONGEST_NOTE).in("words");
        }
        return set.with(set.details().noted(all));
    }
}
