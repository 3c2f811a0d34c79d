package dev.yarbel.web.plan;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.review.Judged;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A block held against the coach's checklist, question by question.
 *
 * @param columns the block, and what it is beside
 * @param others what it may be laid beside
 * @param begun something of it was lifted, so that it may be laid beside what it asked for
 */
record ChecklistView(List<Column> columns, List<Row> rows, List<OtherPlans.Group> others, boolean begun) {

    /**
     * A block under the checklist.
     *
     * @param rehearsed what a rehearsal of what is still ahead comes to
     */
    record Column(String name, List<Answer> answers, Optional<RehearsalView.Sum> rehearsed, MassUnit unit) {}

    /** An answer, with what it rests on in words. */
    record Answer(Judged.Question question, Judged.Verdict verdict, List<String> lines) {

        /** Whether it differs from another one. */
        boolean differs(Answer other) {
            return verdict != other.verdict || !lines.equals(other.lines);
        }
    }

    /** A question with each column's answer. */
    record Row(Judged.Question question, List<Answer> answers) {

        /** Whether the columns answer it otherwise. */
        public boolean isDifferent() {
            return answers.size() > 1 && answers.get(0).differs(answers.get(1));
        }
    }

    static ChecklistView of(Column own, Optional<Column> other, List<OtherPlans.Group> others, boolean begun) {
        List<Column> columns = new ArrayList<>(List.of(own));
        other.ifPresent(columns::add);
        List<Row> rows = new ArrayList<>();
        for (int at = 0; at < own.answers().size(); at++) {
            int row = at;
            rows.add(new Row(
                    own.answers().get(at).question(),
                    columns.stream().map(column -> column.answers().get(row)).toList()));
        }
        return new ChecklistView(columns, rows, others, begun);
    }

    /** Whether it stands alone. */
    public boolean isAlone() {
        return columns.size() == 1;
    }

    /** Whether any of what is laid side by side was rehearsed. */
    public boolean isRehearsed() {
        return columns.stream().anyMatch(column -> column.rehearsed().isPresent());
    }
}
