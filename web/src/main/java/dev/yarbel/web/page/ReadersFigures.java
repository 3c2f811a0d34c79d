package dev.yarbel.web.page;

import java.text.DecimalFormatSymbols;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.context.support.ResourceBundleMessageSource;

/**
 * The words of every language, from the files {@code messages*.properties}; a figure among the parts of a message has the
 * decimal sign of the reader's language: {@code 102,5 kg} where one reads German.
 */
final class ReadersFigures extends ResourceBundleMessageSource {

    /** A figure with decimals and nothing else, whatever its sign and unit: no name, no dose, no note is touched. */
    private static final Pattern FIGURE =
            Pattern.compile("[+\u2212-]?\\d+\\.\\d+(?:[ \u00a0]?(?:kg|lb|t|cm|in|m|ft|%))?");

    private static final Pattern POINT_OR_QUOTED = Pattern.compile("\"[^\"]*\"|(?<=\\d)\\.(?=\\d{1,2}(?!\\d))");

    /** Of the few languages that have a file; looked up for every figure of a page. */
    private static final Map<Locale, Character> SIGNS = new ConcurrentHashMap<>();

    ReadersFigures() {
        setBasename("messages");
        setDefaultEncoding("UTF-8");
        // a reader of English on a server in Germany reads English
        setFallbackToSystemLocale(false);
    }

    /** A figure as {@code core} prints it, with the reader's decimal sign; any other text as it is. */
    static String in(String text, Locale reader) {
        if (text.indexOf('.') < 0) {
            return text;
        }
        char sign = sign(reader);
        return sign != '.' && FIGURE.matcher(text).matches() ? text.replace('.', sign) : text;
    }

    /**
     * A dose as {@code core} prints it, with the reader's decimal sign, as the parser reads it just as well; what stands in
     * quotes is somebody's own words and stays. Three decimals are left too: with a comma they could be thousands.
     */
    static String inDose(String shorthand, Locale reader) {
        if (shorthand.indexOf('.') < 0) {
            return shorthand;
        }
        char sign = sign(reader);
        return sign == '.'
                ? shorthand
                : POINT_OR_QUOTED
                        .matcher(shorthand)
                        .replaceAll(found -> found.group().equals(".")
                                ? String.valueOf(sign)
                                : Matcher.quoteReplacement(found.group()));
    }

    private static char sign(Locale reader) {
        return SIGNS.computeIfAbsent(
                reader, language -> DecimalFormatSymbols.getInstance(language).getDecimalSeparator());
    }

    @Override
    protected Object[] resolveArguments(Object[] parts, Locale reader) {
        return Arrays.stream(super.resolveArguments(parts, reader))
                .map(part -> part instanceof String text ? in(text, reader) : part)
                .toArray();
    }
}
