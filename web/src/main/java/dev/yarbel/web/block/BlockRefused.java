package dev.yarbel.web.block;

import dev.yarbel.core.block.EditRefused;
import dev.yarbel.web.rest.Refusal;
import java.util.List;
import java.util.Locale;

/** Why a change of a block was not made; nothing of it was. */
public final class BlockRefused extends RuntimeException implements Refusal {

    private static final long serialVersionUID = 1;

    private final String code;
    private final transient List<Object> facts;

    /**
     * @param code of the words that say why
     * @param facts what they name
     */
    public BlockRefused(String code, Object... facts) {
        super(code, null, false, false);
        this.code = code;
        this.facts = List.of(facts);
    }

    static BlockRefused of(EditRefused refused) {
        String code = refused.why().name().toLowerCase(Locale.ROOT).replace('_', '-');
        return new BlockRefused(code, refused.facts().toArray());
    }

    public String code() {
        return code;
    }

    public Object[] facts() {
        return facts.toArray();
    }

    @Override
    public String wordsCode() {
        return "plan.refused." + code;
    }

    @Override
    public Object[] wordsParts() {
        return facts();
    }
}
