package dev.yarbel.web.page;

import java.util.List;

/** What was typed into a field cannot be used. The sentence that stands beside the field is in the bundle by this code. */
public final class UnreadableException extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final String code;
    private final transient List<Object> parts;
    private final String field;

    public UnreadableException(String code, Object... parts) {
        this(code, List.of(parts), "");
    }

    private UnreadableException(String code, List<Object> parts, String field) {
        super(code);
        this.code = code;
        this.parts = parts;
        this.field = field;
    }

    /** The same trouble in a field. */
    public UnreadableException in(String name) {
        return new UnreadableException(code, parts, name);
    }

    /** The field it stands in; empty until somebody said. */
    public String field() {
        return field;
    }

    public String code() {
        return code;
    }

    public Object[] parts() {
        return parts.toArray();
    }
}
