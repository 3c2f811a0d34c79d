package dev.yarbel.web.page;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.school.School;
import dev.yarbel.core.session.TaskKey;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Locale;
import org.springframework.core.convert.converter.Converter;
import org.springframework.core.convert.converter.ConverterFactory;
import org.springframework.format.FormatterRegistry;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * How values of the trade are read from requests, for Spring to bind. What cannot be read has its words under
 * {@code typeMismatch} and the type's name. Loads are not among them: what they mean hangs on the lifter's unit.
 */
@Component
class TradeConverters implements WebMvcConfigurer {

    @Override
    public void addFormatters(FormatterRegistry registry) {
        add(registry, TaskKey.class, TaskKey::parse);
        add(registry, Lift.class, Lift::new);
        add(registry, School.class, key -> School.of(key).orElseThrow(IllegalArgumentException::new));
        add(registry, Rpe.class, Rpe::parse);
        add(registry, BarSpeed.class, BarSpeed::parse);
        add(registry, LocalDate.class, LocalDate::parse);
        add(registry, LocalTime.class, LocalTime::parse);
        add(registry, BigDecimal.class, TradeConverters::figure);
        registry.addConverterFactory(new Choice());
    }

    /** A figure with a point or a comma, two decimals at most; a share may have its sign. */
    private static BigDecimal figure(String text) {
        String figure = text.replace("%", "").strip().replace(',', '.');
        if (figure.matches("\\d{1,6}(\\.\\d{1,2})?")) {
            return new BigDecimal(figure);
        }
        throw new IllegalArgumentException("no figure: " + text);
    }

    private static <T> void add(FormatterRegistry registry, Class<T> type, Converter<String, T> reader) {
        registry.addConverter(String.class, type, text -> text.isBlank() ? null : reader.convert(text.strip()));
    }

    /** One of a list, in whatever case it is sent; nothing where nothing was chosen. */
    @SuppressWarnings("rawtypes")
    private static final class Choice implements ConverterFactory<String, Enum> {

        @Override
        public <T extends Enum> Converter<String, T> getConverter(Class<T> type) {
            return text -> text.isBlank() ? null : choice(type, text.strip().toUpperCase(Locale.ROOT));
        }

        @SuppressWarnings("unchecked")
        private static <T extends Enum> T choice(Class<T> type, String name) {
            return (T) Enum.valueOf(type, name);
        }
    }
}
