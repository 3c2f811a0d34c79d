package dev.yarbel.web.block;

import java.util.List;

/**
 * What became of an edit on the blocks given from the one it was made on.
 *
 * @param blocks how many followed
 * @param not the lifters whose blocks stayed as they were
 */
public record Followed(int blocks, List<String> not) {

    public Followed {
        not = List.copyOf(not);
    }
}
