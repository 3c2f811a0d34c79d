package dev.yarbel.web.demo;

import dev.yarbel.core.lifter.HealthQuestion;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Who the invented lifters are: name, fields of the profile, body mass in their own unit. */
final class DemoProfiles {

    static final Set<String> OF_MAREN = Set.of("Agathe Lorne", "Piet Ondervane", "Ida Fenwright", "Maren Quill");

    static final Map<String, HealthQuestion> YES =
            Map.of("Desmond Pike", HealthQuestion.HEART, "Agathe Lorne", HealthQuestion.JOINT);

    static final List<String> LINES = List.of(
            "Wren Halloway|sex=FEMALE; birth-year=1996; sport=POWERLIFTING_CLASSIC; weight-class=76 kg; days=3; minutes=90; sleep=7.5; dieting=NO|75.4",
            "Tobin Marsh|sex=MALE; birth-year=1990; sport=POWERLIFTING_CLASSIC; weight-class=93 kg; days=3; minutes=100; height=70 in|203",
            "Ottilie Strand|sex=FEMALE; birth-year=2001; days=3; minutes=60; stress=USUAL|63.5",
            "Desmond Pike|sex=MALE; birth-year=1967; sport=POWERLIFTING_CLASSIC; weight-class=83 kg; days=3; sleep=6.5|82",
            "Agathe Lorne|sex=FEMALE; birth-year=1964; sport=POWERLIFTING_CLASSIC; days=3; minutes=75|66",
            "Rufus Kell|sex=MALE; birth-year=1988; sport=POWERLIFTING_CLASSIC; days=3|212",
            "Hanno Dray|sex=MALE; birth-year=1985; sport=POWERLIFTING_CLASSIC; days=3; minutes=75; job=dock labourer; job-strains=LOW_BACK; sleep=6; stress=MUCH|96",
            "Sunniva Brack|sex=FEMALE; birth-year=1993; sport=STRONGMAN; weight-class=82 kg; days=3; minutes=110|81",
            "Colm Tarrow|sex=MALE; birth-year=1991; sport=STRONGMAN; days=3; minutes=120|124",
            "Piet Ondervane|sex=MALE; birth-year=1995; sport=STRONGMAN; days=3|112",
            "Ida Fenwright|sex=FEMALE; birth-year=1989; sport=POWERLIFTING_CLASSIC; days=3; minutes=60; dieting=YES|151",
            "Maren Quill|sex=FEMALE; birth-year=1987; sport=BOTH; days=3; minutes=90|72");

    private DemoProfiles() {}
}
