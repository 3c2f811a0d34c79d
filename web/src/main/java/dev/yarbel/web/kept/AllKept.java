package dev.yarbel.web.kept;

import java.util.Collection;
import java.util.List;
import org.springframework.stereotype.Component;

/** What all rooms keep. */
@Component
public class AllKept {

    private final List<LifterParts> lifterRooms;
    private final List<ClubParts> clubRooms;

    AllKept(List<LifterParts> lifterRooms, List<ClubParts> clubRooms) {
        this.lifterRooms = List.copyOf(lifterRooms);
        this.clubRooms = List.copyOf(clubRooms);
    }

    /** What is kept of lifters, in the order in which it is written. */
    public List<Kept> ofLifters() {
        return lifterRooms.stream().flatMap(room -> room.parts().stream()).toList();
    }

    /** What else is kept of a club. */
    public List<Kept> ofClub() {
        return clubRooms.stream().flatMap(room -> room.parts().stream()).toList();
    }

    /** What the club calls lifts of its own, without which nothing else of it reads. */
    public List<Kept> lifts() {
        return ofClub().stream().filter(part -> part.name().equals("lifts")).toList();
    }

    /** Reads what came in as pages do: throws where a page could not. */
    public void readBack(long clubId, Collection<Long> lifters) {
        clubRooms.forEach(room -> room.readBack(clubId));
        for (long lifter : lifters) {
            lifterRooms.forEach(room -> room.readBack(clubId, lifter));
        }
    }
}
