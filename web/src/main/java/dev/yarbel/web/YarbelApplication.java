package dev.yarbel.web;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts Yarbel: the rooms a coach and a lifter work in, around the core that knows strength training. */
@SpringBootApplication
@EnableScheduling
public class YarbelApplication {

    public static void main(String[] args) {
        SpringApplication.run(YarbelApplication.class, args);
    }

    /** The only clock there is; what day it is depends on the club's time zone. */
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
