package dev.yarbel.web.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.block.Blocks;
import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.Optional;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** A block as a workbook, opened by the library that reads those of others. */
@YarbelTest
class PlanWorkbookTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Blocks blocks;

    private XSSFWorkbook workbook(TestClub club) throws Exception {
        MockHttpServletResponse answer = mvc.perform(
                        get(club.url("/plan/print/plan.xlsx")).with(club.asCoach()))
                .andReturn()
                .getResponse();
        assertThat(answer.getStatus()).isEqualTo(200);
        return new XSSFWorkbook(new ByteArrayInputStream(answer.getContentAsByteArray()));
    }

    private static Row row(XSSFSheet sheet, String letter) {
        for (Row row : sheet) {
            if (row.getRowNum() > 2 && row.getCell(0).getStringCellValue().equals(letter)) {
                return row;
            }
        }
        throw new AssertionError("no slot " + letter);
    }

    @Test
    void aDayIsAPageItsWeeksSideBySideWithDosesAndLoads() throws Exception {
        TestClub club = clubs.club();
        try (XSSFWorkbook book = workbook(club)) {
            assertThat(book.getSheetName(0)).isEqualTo("Working maxes");
            XSSFSheet day = book.getSheet("Squat day");
            assertThat(day.getRow(1).getCell(2).getLocalDateTimeCellValue().toLocalDate())
                    .isEqualTo(TestSettings.TODAY.minusWeeks(1));
            Row back = row(day, "C");
            assertThat(back.getCell(1).getStringCellValue()).isEqualTo("Squat");
            assertThat(back.getCell(8).getStringCellValue()).isEqualTo("3x5 77.5%");
            assertThat(back.getCell(10).getNumericCellValue()).isEqualTo(155);
            // a rated single hangs on no max: its load is a figure, and nothing is a formula
            Row top = row(day, "A");
            assertThat(top.getCell(3)).isNull();
            assertThat(top.getCell(4).getCellType()).isEqualTo(CellType.NUMERIC);
        }
    }

    /** A share is a formula, with what it comes to; another max in its cell, and it comes to that. */
    @Test
    void aShareOfTheMaxFollowsTheMax() throws Exception {
        try (XSSFWorkbook book = workbook(clubs.club())) {
            XSSFSheet maxes = book.getSheetAt(0);
            Cell max = maxes.getRow(1).getCell(1);
            Cell share = row(book.getSheet("Squat day"), "C").getCell(3);
            assertThat(share.getCellType()).isEqualTo(CellType.FORMULA);
            assertThat(max.getNumericCellValue()).isEqualTo(200);
            assertThat(share.getNumericCellValue()).isEqualTo(150);
            max.setCellValue(210);
            assertThat(book.getCreationHelper()
                            .createFormulaEvaluator()
                            .evaluate(share)
                            .getNumberValue())
                    .isEqualTo(157.5);
        }
    }

    @Test
    void daysOfAnyNameHaveAPageEach() throws Exception {
        TestClub club = clubs.club();
        Slot squat = new Slot("A", Lift.SQUAT, List.of(Optional.of(Dose.parse("3x5 75%"))));
        blocks.add(
                club.lifter,
                new Block(
                                TestSettings.TODAY,
                                1,
                                List.of(
                                        new TrainingDay("=1+1 [a/b]: it's?", 0, List.of(squat)),
                                        new TrainingDay("=1+1 [a/b]: it's?", 1, List.of(squat)),
                                        new TrainingDay("Working maxes", 2, List.of(squat)),
                                        new TrainingDay(
                                                "a day whose name is longer than pages may be called",
                                                3,
                                                List.of(squat))))
                        .named("Odd"),
                "");
        try (XSSFWorkbook book = workbook(club)) {
            assertThat(book.getNumberOfSheets()).isEqualTo(5);
            for (int page = 1; page < 5; page++) {
                assertThat(book.getSheetAt(page).getRow(3).getCell(3).getNumericCellValue())
                        .isEqualTo(150);
            }
        }
    }
}
