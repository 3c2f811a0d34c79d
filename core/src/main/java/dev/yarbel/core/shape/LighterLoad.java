package dev.yarbel.core.shape;

import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Reference;

/** Ten points lighter, or two on the rating; what hangs on the day's top, on speed or on how it feels comes down by itself. */
final class LighterLoad implements LoadBasis.Visitor<LoadBasis> {

    private static final Percent TEN = Percent.of(10);
    private static final Percent NINE_TENTHS = Percent.of(90);
    private static final Percent LIGHTEST = Percent.of(30);
    private static final int FIVE_LEFT = 10;

    @Override
    public LoadBasis atRpe(LoadBasis.AtRpe at) {
        return new LoadBasis.AtRpe(Deload.easier(at.least(), FIVE_LEFT), Deload.easier(at.rpe(), FIVE_LEFT));
    }

    @Override
    public LoadBasis share(LoadBasis.Share share) {
        return share.isOwnBody() || share.hangsOnTop()
                ? share
                : new LoadBasis.Share(share.of(), tenLess(share.percent()), tenLess(share.most()));
    }

    @Override
    public LoadBasis belowTop(LoadBasis.BelowTop below) {
        return below;
    }

    @Override
    public LoadBasis fixed(LoadBasis.Fixed fixed) {
        return new LoadBasis.Fixed(Deload.halves(fixed.load().times(NINE_TENTHS), fixed.unit()), fixed.unit());
    }

    @Override
    public LoadBasis bodyMassPlus(LoadBasis.BodyMassPlus plus) {
        return new LoadBasis.BodyMassPlus(Deload.halves(plus.more().half(), plus.unit()), plus.unit());
    }

    @Override
    public LoadBasis lastTime(LoadBasis.LastTime last) {
        return new LoadBasis.Share(Reference.Named.LAST, NINE_TENTHS);
    }

    @Override
    public LoadBasis atSpeed(LoadBasis.AtSpeed at) {
        return at;
    }

    @Override
    public LoadBasis byFeel(LoadBasis.ByFeel byFeel) {
        return byFeel;
    }

    private static Percent tenLess(Percent percent) {
        Percent less = percent.minus(TEN);
        if (!less.isLessThan(LIGHTEST)) {
            return less;
        }
        return percent.isLessThan(LIGHTEST) ? percent : LIGHTEST;
    }
}
