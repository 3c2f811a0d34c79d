package dev.yarbel.web.page;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.context.MessageSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.ResourcePatternResolver;
import org.springframework.web.servlet.LocaleResolver;
import org.springframework.web.servlet.i18n.AcceptHeaderLocaleResolver;

/**
 * The reader's language, among those that have a file of words: {@code messages_cy.properties} beside the English one is
 * all that another language takes. Any other reader gets English throughout, dates too.
 */
@Configuration
class Languages {

    private static final Pattern BUNDLE = Pattern.compile("messages_([A-Za-z_]+)\\.properties");

    @Bean
    MessageSource messageSource() {
        return new ReadersFigures();
    }

    @Bean
    LocaleResolver localeResolver(ResourcePatternResolver resources) throws IOException {
        List<Locale> languages = new ArrayList<>(List.of(Locale.ENGLISH));
        for (Resource bundle : resources.getResources("classpath*:messages_*.properties")) {
            Matcher name = BUNDLE.matcher(String.valueOf(bundle.getFilename()));
            if (name.matches()) {
                languages.add(Locale.forLanguageTag(name.group(1).replace('_', '-')));
            }
        }
        AcceptHeaderLocaleResolver resolver = new AcceptHeaderLocaleResolver();
        resolver.setSupportedLocales(languages);
        resolver.setDefaultLocale(Locale.ENGLISH);
        // where nobody reads, as when demo data is made, words are English on any machine
        LocaleContextHolder.setDefaultLocale(Locale.ENGLISH);
        return resolver;
    }
}
