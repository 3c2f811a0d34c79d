package dev.yarbel.web;

import java.util.stream.Collectors;
import org.hamcrest.Description;
import org.hamcrest.Matcher;
import org.hamcrest.TypeSafeMatcher;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;

/** What a page holds, looked for in the elements it belongs to and nowhere else. */
public final class OnPage {

    private OnPage() {}

    /** A page on which one of the elements of a selector reads so, among more. */
    public static Matcher<String> shows(String css, String text) {
        return holds(css, text, Element::text);
    }

    /** A page on which one of the elements of a selector, or one within, has this in its tag: {@code value="20 kg"}. */
    public static Matcher<String> tagged(String css, String attribute) {
        return holds(css, attribute, element -> element.getAllElements().stream()
                .map(each -> each.shallowClone().outerHtml())
                .collect(Collectors.joining()));
    }

    private interface Part {

        String of(Element element);
    }

    private static Matcher<String> holds(String css, String wanted, Part part) {
        return new TypeSafeMatcher<>() {

            @Override
            protected boolean matchesSafely(String html) {
                return Jsoup.parse(html).select(css).stream()
                        .anyMatch(element -> part.of(element).contains(wanted));
            }

            @Override
            public void describeTo(Description description) {
                description.appendText(css + " holding ").appendValue(wanted);
            }

            @Override
            protected void describeMismatchSafely(String html, Description description) {
                description
                        .appendText("it holds ")
                        .appendValueList(
                                "", ", ", "", Jsoup.parse(html).select(css).eachText());
            }
        };
    }
}
