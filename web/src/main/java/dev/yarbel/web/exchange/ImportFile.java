package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.DayText;
import dev.yarbel.core.exchange.Holds;
import dev.yarbel.core.exchange.Layout;
import dev.yarbel.core.measure.MassUnit;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A file that somebody brought, and what they say of it. */
@Entity
class ImportFile {

    /** How far it is. */
    enum Status {
        OPEN,
        TAKING,
        TAKEN,
        TAKEN_BACK
    }

    /** What becomes of loads that look as if they were written in the other unit. */
    enum Slips {
        AS_WRITTEN,
        OTHER_UNIT,
        LEAVE_OUT
    }

    /** What becomes of sets of which something is doubtful. */
    enum Doubtful {
        TAKE,
        LEAVE_OUT
    }

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long accountId;
    private Instant broughtAt;
    private String name;
    private String encoding;
    private String separator;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> sheets;

    private int sheet;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<Integer> rows;

    private Long lifterId;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> holds;

    @Enumerated(EnumType.STRING)
    private DayText.Order dayOrder;

    @Enumerated(EnumType.STRING)
    private MassUnit unit;

    private LocalDate firstWeek;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> trained;

    @Enumerated(EnumType.STRING)
    private Slips slips;

    @Enumerated(EnumType.STRING)
    private Doubtful doubtful;

    @Enumerated(EnumType.STRING)
    private Status status;

    private Instant statusAt;
    private Integer sets;
    private Integer days;

    protected ImportFile() {}

    ImportFile(long clubId, long accountId, String name, Optional<Long> lifter, Instant at) {
        this.clubId = clubId;
        this.accountId = accountId;
        this.name = name;
        this.lifterId = lifter.orElse(null);
        this.broughtAt = at;
        this.sheets = List.of();
        this.rows = List.of();
        this.status = Status.OPEN;
        this.statusAt = at;
    }

    /** What was found in it. */
    void read(Optional<BroughtTable.Found> found, List<String> names, List<Integer> counts) {
        encoding = found.map(BroughtTable.Found::encoding).orElse(null);
        separator = found.map(text -> String.valueOf(text.separator())).orElse(null);
        sheets = names;
        rows = counts;
        int first = 0;
        while (first < counts.size() - 1 && counts.get(first) == 0) {
            first++;
        }
        sheet = first;
    }

    /**
     * What whoever brought it says of it.
     *
     * @param holds what its columns hold, in their order; empty while nobody said
     */
    record Said(
            int sheet,
            Optional<Long> lifter,
            Optional<List<Holds>> holds,
            Optional<DayText.Order> order,
            Optional<MassUnit> unit,
            Optional<LocalDate> firstWeek,
            List<DayOfWeek> trained,
            Optional<Slips> slips,
            Optional<Doubtful> doubtful) {

        Said {
            trained = List.copyOf(trained);
        }

        /** The same for another sheet, of whose columns nobody said anything. */
        Said ofSheet(int other) {
            return other == sheet
                    ? this
                    : new Said(
                            other,
                            lifter,
                            Optional.empty(),
                            order,
                            unit,
                            firstWeek,
                            trained,
                            Optional.empty(),
                            doubtful);
        }

        /** Whether a table is read alike by both, whoever said more. */
        boolean comesToTheSameAs(Said other, Layout guessed) {
            return sheet == other.sheet
                    && lifter.equals(other.lifter)
                    && of(guessed).equals(other.of(guessed))
                    && slips.equals(other.slips)
                    && doubtful.orElse(Doubtful.TAKE) == other.doubtful.orElse(Doubtful.TAKE);
        }

        /** A layout that was guessed, as it was corrected. */
        Layout of(Layout guessed) {
            Layout layout = holds.map(guessed::holding).orElse(guessed);
            layout = order.map(layout::in).orElse(layout);
            return unit.map(layout::in).orElse(layout).from(firstWeek, trained);
        }
    }

    public Said said() {
        return new Said(
                sheet,
                Optional.ofNullable(lifterId),
                Optional.ofNullable(holds)
                        .map(all -> all.stream().map(Holds::valueOf).toList()),
                Optional.ofNullable(dayOrder),
                Optional.ofNullable(unit),
                Optional.ofNullable(firstWeek),
                trained == null
                        ? List.of()
                        : trained.stream().map(DayOfWeek::valueOf).toList(),
                Optional.ofNullable(slips),
                Optional.ofNullable(doubtful));
    }

    void say(Said said) {
        sheet = said.sheet();
        lifterId = said.lifter().orElse(null);
        holds = said.holds().map(all -> all.stream().map(Holds::name).toList()).orElse(null);
        dayOrder = said.order().orElse(null);
        unit = said.unit().orElse(null);
        firstWeek = said.firstWeek().orElse(null);
        trained = said.trained().isEmpty()
                ? null
                : said.trained().stream().map(DayOfWeek::name).toList();
        slips = said.slips().orElse(null);
        doubtful = said.doubtful().orElse(null);
    }

    void is(Status now, Instant at) {
        status = now;
        statusAt = at;
    }

    void took(int writtenSets, int onDays) {
        sets = writtenSets;
        days = onDays;
    }

    public long id() {
        return id;
    }

    public long clubId() {
        return clubId;
    }

    public String name() {
        return name;
    }

    public Instant broughtAt() {
        return broughtAt;
    }

    public Optional<String> encoding() {
        return Optional.ofNullable(encoding);
    }

    public Optional<String> separator() {
        return Optional.ofNullable(separator);
    }

    public List<String> sheets() {
        return sheets;
    }

    public int sheet() {
        return sheet;
    }

    /** The rows of the sheet that is looked at. */
    public int lines() {
        return sheet < rows.size() ? rows.get(sheet) : 0;
    }

    public Status status() {
        return status;
    }

    public Instant statusAt() {
        return statusAt;
    }

    public int sets() {
        return Objects.requireNonNullElse(sets, 0);
    }

    public int days() {
        return Objects.requireNonNullElse(days, 0);
    }
}
