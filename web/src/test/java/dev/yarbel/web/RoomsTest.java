package dev.yarbel.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import jakarta.persistence.Entity;
import java.util.Arrays;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.CrudRepository;
import org.springframework.data.repository.Repository;
import org.springframework.modulith.core.ApplicationModules;

class RoomsTest {

    private static final JavaClasses WEB = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("dev.yarbel.web");

    /** Asked before anybody's club is known, or about the club itself. */
    private static final Set<String> WITHOUT_CLUB = Set.of(
            "AccessTokenRepository.findOpen",
            "AccountRepository.findWithClub",
            "CalendarAddressRepository.findBySecretHash",
            "ClubRepository.count",
            "ClubRepository.findById",
            "InviteRepository.findByToken",
            "SpeedSensorRepository.lockByCodeHash",
            "SpeedSensorRepository.findByKeyHash");

    @Test
    void eachRoomUsesOnlyTheRoomsBeforeIt() {
        ApplicationModules.of(YarbelApplication.class).verify();
    }

    @Test
    void repositoriesAreBareSoThatNothingInheritedIgnoresClubs() {
        noClasses().should().beAssignableTo(CrudRepository.class).check(WEB);
    }

    @Test
    void everyQuestionToTheDatabaseNamesTheClub() {
        methods()
                .that()
                .areDeclaredInClassesThat()
                .areAssignableTo(Repository.class)
                .and(new DescribedPredicate<JavaMethod>("ask for something") {
                    @Override
                    public boolean test(JavaMethod method) {
                        return !Set.of("save", "delete").contains(method.getName())
                                && !WITHOUT_CLUB.contains(method.getOwner().getSimpleName() + "." + method.getName());
                    }
                })
                .should(new ArchCondition<>("take the club first") {
                    @Override
                    public void check(JavaMethod method, ConditionEvents events) {
                        boolean club = Arrays.stream(method.reflect().getParameters())
                                .findFirst()
                                .filter(p -> p.getName().equals("clubId"))
                                .isPresent();
                        if (!club) {
                            events.add(SimpleConditionEvent.violated(
                                    method, method.getFullName() + " does not take the club first"));
                        }
                    }
                })
                .check(WEB);
    }

    @Test
    void entitiesStayInTheirRooms() {
        classes()
                .that()
                .areAnnotatedWith(Entity.class)
                .should()
                .bePackagePrivate()
                .check(WEB);
    }
}
