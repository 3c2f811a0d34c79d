package dev.yarbel.web.block;

/** What a club's coaches keep to start from, in a list. */
public record Template(long id, TemplateKind kind, String name, String madeBy) {

    static Template of(PlanTemplate template) {
        return new Template(template.id(), template.kind(), template.name(), template.madeBy());
    }
}
