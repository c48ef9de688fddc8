package homalon.core.cut;

import homalon.core.chambers.EngineBook.Crown;
import homalon.core.input.Problems;

/**
 * Room between a valve and the piston, along the valve's axis. A cut x moves the valve x along the bore's axis towards the piston.
 *
 * @param lean of the valve from the bore's axis, degrees
 * @param measured along the valve, mm
 * @param sink of the valve by seat work, mm
 * @param crown what it meets
 */
public record ValveRoom(double lean, double measured, double sink, Crown crown) {
    public ValveRoom {
        Problems problems = new Problems();
        problems.require(lean >= 0 && lean < 89, "valveLean", "cut.the-valves-lean-from-0-under-89-degrees");
        problems.require(
                measured >= 0 && measured <= 100, "valveClearance", "cut.valve-to-piston-measured-from-0-to-100");
        problems.require(Math.abs(sink) <= 20, "valveSink", "cut.valve-sink-at-most-20-mm");
        problems.throwIfAny();
    }

    /** Of the valve's axis for one mm along the bore's axis: against a flat crown more than one, against a parallel floor less. */
    double perMm() {
        double cos = Math.cos(Math.toRadians(lean));
        return crown == Crown.FLAT ? 1 / cos : cos;
    }

    /** @param cut off head and block together, less what a gasket is thicker, mm */
    public double after(double cut) {
        return measured - cut * perMm() + sink;
    }

    /** The cut after which so much is left; negative when less is left already. */
    public double cutTo(double least) {
        return (measured + sink - least) / perMm();
    }
}
