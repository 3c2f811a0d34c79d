package dev.yarbel.web;

import java.lang.annotation.ElementType;
import java.lang.annotation.Inherited;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.boot.webmvc.test.autoconfigure.MockMvcPrint;
import org.springframework.context.annotation.Import;

/** The whole application on the real database, at a fixed moment, with one context for all such tests. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@Inherited
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"yarbel.demo=true", "spring.flyway.clean-disabled=false", "yarbel.clips=target/clips"})
// nothing of an answer is written down before a test asks for it: a model is large
@AutoConfigureMockMvc(print = MockMvcPrint.NONE)
@Import({TestSettings.class, Clubs4Tests.class})
public @interface YarbelTest {}
