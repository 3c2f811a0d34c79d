package dev.yarbel.web.kit;

import static dev.yarbel.web.OnPage.shows;
import static dev.yarbel.web.OnPage.tagged;
import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.allOf;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.Change;
import dev.yarbel.web.book.Ledger;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** Gyms, what is in them, and what their kit makes. */
@YarbelTest
class KitTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private KitShelf kits;

    @Autowired
    private Book book;

    @Autowired
    private Ledger ledger;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private ResultActions send(String path, String... fields) throws Exception {
        MockHttpServletRequestBuilder request = post(path).with(club.asCoach()).with(csrf());
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return mvc.perform(request);
    }

    private ResultActions look(String path) throws Exception {
        return mvc.perform(get(path).with(club.asCoach()));
    }

    private String gym() {
        return "/kit/" + club.gym;
    }

    /** The number of the newest piece of a gym. */
    private long newest(long gym) {
        return jdbc.sql("select max(id) from piece where gym_id = ?")
                .param(gym)
                .query(Long.class)
                .single();
    }

    private void add(String shelf, String... fields) throws Exception {
        sendPiece(gym() + "/" + shelf, fields).andExpect(status().isFound());
    }

    /** Sends a form of a piece, with its fields as the page calls them: {@code per-metre}. */
    private ResultActions sendPiece(String path, String... fields) throws Exception {
        String[] named = fields.clone();
        for (int i = 0; i < fields.length; i += 2) {
            named[i] = "fields[" + fields[i].toUpperCase(Locale.ROOT).replace('-', '_') + "]";
        }
        return send(path, named);
    }

    private AvailableKit hand() {
        return kits.usual(club.lifter);
    }

    private Optional<List<Mass>> loads(String lift) {
        return hand().loads(book.catalogue(club.lifter.clubId()).of(new Lift(lift)))
                .map(loads -> loads.loads());
    }

    private Change latestOfClub() {
        return ledger.latestOfClub(club.lifter.clubId(), 1).get(0);
    }

    @Test
    void aBarOfEveryKindMakesItsLiftPossible() throws Exception {
        assertThat(loads("log-press")).isEmpty();
        add("bars", "implement", "LOG", "name", "Old log", "mass", "30,5 kg", "fit-for-pins", "on");
        assertThat(loads("log-press").orElseThrow()).startsWith(Mass.parse("30.5kg", null), Mass.ofKg(33));
        assertThat(latestOfClub().after()).isEqualTo("log Old log 30.5 kg");
    }

    @Test
    void aPieceIsPickedUpWholeByWhatItReallyWeighs() throws Exception {
        add("pieces", "implement", "DUMBBELL", "nominal", "20", "mass", "22.5");
        assertThat(loads("dumbbell-press").orElseThrow()).containsExactly(Mass.parse("22.5kg", null));
        add("pieces", "implement", "STONE", "name", "Round stone", "mass", "220 lb");
        assertThat(loads("stone-over-bar").orElseThrow()).containsExactly(Mass.ofLb(220));
    }

    @Test
    void theNumberOnADumbbellsHeadIsNotItsMass() throws Exception {
        sendPiece(gym() + "/pieces", "implement", "DUMBBELL", "nominal", "20", "mass", "")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(allOf(
                                shows("[id='new-pieces-fields[MASS]-says']", "leaves the handle out"),
                                tagged(".form-control", "20"))));
    }

    @Test
    void aMachineLoadsTheStepsOfItsStackForItsOwnLiftAlone() throws Exception {
        add("machines", "name", "Tower", "made-for", "lat pulldown", "least", "10", "step", "5", "most", "20");
        assertThat(loads("lat-pulldown").orElseThrow()).containsExactly(Mass.ofKg(10), Mass.ofKg(15), Mass.ofKg(20));
        assertThat(loads("cable-row")).isEmpty();
    }

    @Test
    void aMachineCanBeMadeForAVariationOfTheClubsOwn() throws Exception {
        send(
                        club.url("/book/lifts"),
                        "name",
                        "Pendulum squat",
                        "parent",
                        "squat",
                        "ratio",
                        "60",
                        "implement",
                        "MACHINE")
                .andExpect(status().isFound());
        add("machines", "name", "Pendulum", "made-for", "pendulum squat", "least", "20", "step", "10", "most", "40");
        assertThat(loads("own-pendulum-squat").orElseThrow()).hasSize(3);
    }

    @Test
    void aFigureTypedInTheOtherUnitIsKeptInIt() throws Exception {
        add("plates", "mass", "45 lb", "count", "2");
        look(gym()).andExpect(content().string(tagged(".form-control", "value=\"45 lb\"")));
        // 20 kg bar and two plates of 45 lb, 20.41 kg each
        assertThat(loads("squat").orElseThrow()).contains(Mass.ofKg(20).plus(Mass.ofLb(90)));
    }

    @Test
    void whatCannotBeUsedIsSaidBesideItsFieldAndNothingTypedIsLost() throws Exception {
        sendPiece(gym() + "/bars", "implement", "BARBELL", "name", "Thick bar", "mass", "heavy")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(allOf(
                                tagged(".form-control", "value=\"Thick bar\""),
                                tagged(".form-control", "value=\"heavy\""),
                                shows("[id='new-bars-fields[MASS]-says']", "A load above 0 and up to 1000 kg"))));
        sendPiece(gym() + "/plates", "mass", "25", "count", "many")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("[id='new-plates-fields[COUNT]-says']", "A number from 1 to 200.")));
        sendPiece(gym() + "/machines", "name", "M", "made-for", "flying", "least", "5", "step", "5", "most", "50")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(shows("[id='new-machines-fields[MADE_FOR]-says']", "There is no lift called flying")));
        sendPiece(gym() + "/bands", "name", "B", "length", "60", "pull", "10", "long-length", "50", "pull-long", "20")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(shows("[id='new-bands-fields[LONG_LENGTH]-says']", "Longer than the first length")));
        sendPiece(gym() + "/bands", "name", "B", "length", "60", "pull", "10", "long-length", "90", "pull-long", "8")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(shows("[id='new-bands-fields[PULL_LONG]-says']", "a longer band pulls harder")));
        send(gym(), "name", "Gym", "unit", "KG", "collars", "60")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#gym-collars-says", "up to 20 kg")));
        send("/kit", "name", " ", "unit", "KG").andExpect(status().isUnprocessableContent());
    }

    @Test
    void editingAPieceIsRecordedWithBeforeAndAfter() throws Exception {
        add("bars", "implement", "AXLE", "name", "Axle", "mass", "12", "fit-for-pins", "on");
        long axle = newest(club.gym);
        sendPiece("/kit/pieces/" + axle, "implement", "AXLE", "name", "Axle", "mass", "13", "fit-for-pins", "on")
                .andExpect(status().isFound());
        assertThat(latestOfClub().before()).isEqualTo("axle Axle 12 kg");
        assertThat(latestOfClub().after()).isEqualTo("axle Axle 13 kg");
        look("/kit/ledger")
                .andExpect(content().string(allOf(shows(".num", "Axle 12 kg"), shows(".num", "axle Axle 13 kg"))));
    }

    @Test
    void collarsAreInEveryLoad() throws Exception {
        send(gym(), "name", "Gym", "unit", "KG", "collars", "5").andExpect(status().isFound());
        assertThat(loads("squat").orElseThrow()).startsWith(Mass.ofKg(25));
    }

    @Test
    void removingAPieceNamesThePlannedSlotsThatNeedItAndCanBeUndone() throws Exception {
        long smallest = jdbc.sql("select id from piece where gym_id = ? and fields ->> 'MASS' = '1.25 kg'")
                .param(club.gym)
                .query(Long.class)
                .single();
        long bar = jdbc.sql("select id from piece where gym_id = ? and shelf = 'BARS'")
                .param(club.gym)
                .query(Long.class)
                .single();
        String lifter = club.lifter.name();
        send("/kit/pieces/" + smallest + "/remove")
                .andExpect(flash().attribute(
                                "needing",
                                List.of(
                                        lifter + ": Squat day, A Squat",
                                        lifter + ": Squat day, B Squat",
                                        lifter + ": Squat day, C Squat")));
        assertThat(loads("squat").orElseThrow()).doesNotContain(Mass.parse("22.5kg", null));
        send("/kit/pieces/" + bar + "/remove");
        assertThat(loads("squat")).isEmpty();
        look(club.url("/plan")).andExpect(content().string(shows(".unknown", "nothing for it in the gym")));
        send("/kit/pieces/" + bar + "/restore").andExpect(status().isFound());
        send("/kit/pieces/" + smallest + "/restore").andExpect(status().isFound());
        assertThat(loads("squat").orElseThrow()).contains(Mass.parse("22.5kg", null));
    }

    @Test
    void whatNoPlanNeedsIsRemovedWithoutANote() throws Exception {
        add("pieces", "implement", "KEG", "name", "Keg", "mass", "60");
        send("/kit/pieces/" + newest(club.gym) + "/remove").andExpect(flash().attribute("needing", List.of()));
    }

    @Test
    void anOldBarIsNotTakenForPins() throws Exception {
        long bar = jdbc.sql("select id from piece where gym_id = ? and shelf = 'BARS'")
                .param(club.gym)
                .query(Long.class)
                .single();
        // the box is not ticked
        sendPiece("/kit/pieces/" + bar, "implement", "BARBELL", "name", "bar", "mass", "20");
        assertThat(loads("pin-squat")).isEmpty();
        assertThat(loads("squat")).isPresent();
    }

    @Test
    void otherSafetyHeightsAreSaidOnTheFloor() throws Exception {
        long bar = jdbc.sql("select id from piece where gym_id = ? and shelf = 'BARS'")
                .param(club.gym)
                .query(Long.class)
                .single();
        sendPiece("/kit/pieces/" + bar, "implement", "BARBELL", "name", "bar", "mass", "20", "safety-height", "hole 9");
        look(club.url("/floor")).andExpect(content().string(shows(".quiet", "bar, Gym; safeties at hole 9")));
    }

    @Test
    void aGymInUseStaysOpen() throws Exception {
        send(gym() + "/close")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#close-close-says", "Lifters train here")));
        send("/kit", "name", "Shed", "unit", "LB").andExpect(status().isFound());
        long shed = jdbc.sql("select max(id) from gym").query(Long.class).single();
        send("/kit/" + shed + "/close").andExpect(status().isFound());
        look("/kit/" + shed).andExpect(status().isNotFound());
        send(club.url("/gyms"), "gym", "" + shed, "how", "ALSO").andExpect(status().isNotFound());
        look("/kit").andExpect(status().isFound());
        look(gym()).andExpect(content().string(not(containsString("Shed"))));
        send("/kit/" + shed + "/open");
        look(gym()).andExpect(content().string(shows(".tabs", "Shed")));
    }

    @Test
    void aTriedLoadShowsItsPlatesAndTheNearestThatCanBeMadeInBothUnits() throws Exception {
        String bar = "bar-"
                + jdbc.sql("select id from piece where gym_id = ? and shelf = 'BARS'")
                        .param(club.gym)
                        .query(Long.class)
                        .single();
        String page = Jsoup.parse(look(gym() + "?load=101&with=" + bar)
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .select("#try")
                .text();
        // 100 kg / 0.45359237 is 220.46 lb, 102.5 kg 225.97 lb
        assertThat(page)
                .contains(
                        "100 kg 220.5 lb",
                        "101 kg cannot be made here: 100 kg (220.5 lb) below, 102.5 kg (226 lb) above");
        assertThat(Jsoup.parse(look(gym() + "?load=225 lb&with=" + bar)
                                .andReturn()
                                .getResponse()
                                .getContentAsString())
                        .select("#try .big")
                        .text())
                .isEqualTo("225.97 lb");
        look(gym() + "?load=3000&with=" + bar).andExpect(status().isUnprocessableContent());
    }

    @Test
    void chainsAreAddedToTheBarInTheUnitsTheyWereTypedIn() throws Exception {
        // one metre of chain of 15 lb on each side: all of it hangs at the top, 30 lb
        add("chains", "name", "Chain", "per-metre", "15 lb", "length", "100 cm", "count", "2");
        String numbers = changing("wanted=150&at=bar&bottom=0&top=150&chain=" + newest(club.gym) + "&aSide=1");
        // common practice, no source: 150 kg and 30 lb of chain are 163.6 kg at lockout, not 180
        assertThat(numbers).contains("on the bar 150 kg", "at the bottom 150 kg", "at the top 163.6 kg");
    }

    @Test
    void theBarIsFoundForAWantedTop() throws Exception {
        add("chains", "name", "Chain", "per-metre", "10 kg", "length", "100 cm", "count", "2");
        String numbers = changing("wanted=170&at=top&bottom=20&top=100&chain=" + newest(club.gym) + "&aSide=1");
        // two metres of chain hang at 100 cm: 20 kg; at 20 cm a fifth of them
        assertThat(numbers).contains("on the bar 150 kg", "at the bottom 154 kg", "at the top 170 kg");
    }

    @Test
    void aReverseBandHelpsAtTheBottomAndAnUnlikePairIsWarnedOf() throws Exception {
        add(
                "bands",
                "name",
                "Odd",
                "length",
                "50",
                "pull",
                "0.5",
                "long-length",
                "150",
                "pull-long",
                "10",
                "other-make",
                "Other");
        String page = look(gym() + "?with=" + bar() + "&wanted=150&at=bar&bottom=50&top=150&anchor=200&from=above&band="
                        + newest(club.gym))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String text = Jsoup.parse(page).select("#changing").text();
        // at 50 cm each band is 150 cm long and takes 10 kg off; at 150 cm it is 50 cm long
        assertThat(text).contains("at the bottom 130 kg", "at the top 149 kg", "of different make");
        assertThat(text).contains("advanced lifters only, with a competent spotter by name");
    }

    private String bar() {
        return "bar-"
                + jdbc.sql("select id from piece where gym_id = ? and shelf = 'BARS'")
                        .param(club.gym)
                        .query(Long.class)
                        .single();
    }

    private String changing(String asked) throws Exception {
        return Jsoup.parse(look(gym() + "?with=" + bar() + "&" + asked)
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .select("#changing .numbers")
                .text();
    }

    @Test
    void trainingElsewhereOnADayMakesItsLoadsThere() throws Exception {
        send("/kit", "name", "Hotel", "unit", "KG").andExpect(status().isFound());
        long hotel = jdbc.sql("select max(id) from gym").query(Long.class).single();
        sendPiece(
                "/kit/" + hotel + "/bars",
                "implement",
                "BARBELL",
                "name",
                "Hotel bar",
                "mass",
                "10",
                "fit-for-pins",
                "on");
        sendPiece("/kit/" + hotel + "/plates", "mass", "20", "count", "14");
        String floor = club.url("/floor?day=0&week=1");
        // 75 % of the working max of 200 kg
        look(floor).andExpect(content().string(allOf(shows(".figure", "150 kg"), shows(".quiet", "bar, Gym"))));
        send(
                        club.url("/gym-of-the-day"),
                        "on",
                        club.plan().block().date(0, 1).toString(),
                        "gym",
                        "" + hotel,
                        "day",
                        "0",
                        "week",
                        "1")
                .andExpect(status().isFound());
        look(floor)
                .andExpect(content()
                        .string(allOf(
                                shows(".quiet", "Hotel bar, Hotel"),
                                shows(".figure", "130 kg"),
                                not(containsString("bar, Gym<")))));
        // any other day stays where it was
        look(club.url("/floor?day=0&week=2")).andExpect(content().string(not(containsString("Hotel bar"))));
    }

    @Test
    void aLifterUsesSeveralGymsAndTheirLoadsComeFromTheUsualOne() throws Exception {
        send("/kit", "name", "Home", "unit", "KG").andExpect(status().isFound());
        long home = jdbc.sql("select max(id) from gym").query(Long.class).single();
        sendPiece(
                "/kit/" + home + "/bars",
                "implement",
                "BARBELL",
                "name",
                "Thin bar",
                "mass",
                "15",
                "fit-for-pins",
                "on");
        send(club.url("/gyms"), "gym", "" + home, "how", "ALSO");
        assertThat(hand().gymName()).isEqualTo("Gym");
        send(club.url("/gyms"), "gym", "" + home, "how", "USUALLY");
        assertThat(hand().gymName()).isEqualTo("Home");
        assertThat(ledger.latest(club.lifter, 1).get(0).after()).isEqualTo("Home, Gym");
        send(club.url("/gyms"), "gym", "" + club.gym, "how", "NO_MORE");
        send(club.url("/gyms"), "gym", "" + home, "how", "NO_MORE")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows(".bad", "A lifter needs a gym")));
    }
}
