package dev.yarbel.web;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Map;
import javax.sql.DataSource;
import net.ttddyy.dsproxy.support.ProxyDataSourceBuilder;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.boot.test.context.TestComponent;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A fixed moment, and a database that starts empty. */
@TestConfiguration
public class TestSettings {

    /** A Tuesday evening. */
    public static final Instant NOW = Instant.parse("2026-03-10T18:00:00Z");

    public static final ZoneId ZONE = ZoneId.of("Europe/London");
    public static final LocalDate TODAY = LocalDate.of(2026, 3, 10);

    @Bean
    @Primary
    Clock fixedClock() {
        return Clock.fixed(NOW, ZoneOffset.UTC);
    }

    /** Hashes as the application does, but fast: a test makes a club of people with passwords. */
    @Bean
    @Primary
    PasswordEncoder quickPasswords() {
        return new DelegatingPasswordEncoder("bcrypt", Map.of("bcrypt", new BCryptPasswordEncoder(4)));
    }

    /** Counts each thread's statements, for {@link PageCostTest}. */
    @Bean
    static BeanPostProcessor countStatements() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof DataSource database
                        ? ProxyDataSourceBuilder.create(database).countQuery().build()
                        : bean;
            }
        };
    }

    @Bean
    @Primary
    FlywayMigrationStrategy fromScratch() {
        return flyway -> {
            flyway.clean();
            flyway.migrate();
        };
    }

    /** A page that always fails. */
    @TestComponent
    @RestController
    static class Breaks {

        @GetMapping("/js/breaks")
        String fail(@RequestParam(defaultValue = "1") int n) {
            throw new IllegalStateException("made to fail, " + n);
        }
    }
}
