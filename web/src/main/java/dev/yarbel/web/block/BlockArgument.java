package dev.yarbel.web.block;

import dev.yarbel.web.page.BroughtArgument;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.PathArguments;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterInPath;
import java.util.Optional;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.NativeWebRequest;

/**
 * Brings a handler the block of the lifter whose number stands in its path as {@code id}: the one whose number is sent as
 * {@code block}, or without one the current.
 */
@Component
class BlockArgument extends BroughtArgument {

    private final LifterInPath lifters;
    private final Blocks blocks;

    BlockArgument(LifterInPath lifters, Blocks blocks) {
        super(LifterBlock.class);
        this.lifters = lifters;
        this.blocks = blocks;
    }

    /** @throws NotFoundException when there is no such lifter for this person, or no such block */
    @Override
    protected LifterBlock bring(MethodParameter parameter, NativeWebRequest request) {
        Person person = PathArguments.person(request);
        Optional<Long> block = Optional.ofNullable(request.getParameter("block"))
                .filter(text -> !text.isBlank())
                .map(PathArguments::number);
        return blocks.open(lifters.of(request), person.zone(), block).orElseThrow(NotFoundException::new);
    }
}
