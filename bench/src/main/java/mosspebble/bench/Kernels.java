package mosspebble.bench;

import java.util.concurrent.TimeUnit;
import mosspebble.core.colour.KubelkaMunk;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Spectrum;
import mosspebble.core.stone.Dome;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Inner loops under JMH. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class Kernels {

    private final Stone stone = Stone.cobble().withSize(new Millimetres(150), new Millimetres(110), new Millimetres(40));
    private final Lab first = Lab.of(Srgb.ofHex("#7a8f5a"));
    private final Lab second = Lab.of(Srgb.ofHex("#5a7a8f"));

    @Benchmark
    public Dome domeOf150MmAt1Mm() {
        return Dome.of(stone);
    }

    @Benchmark
    public double ciede2000() {
        return first.differenceTo(second);
    }

    @Benchmark
    public Spectrum reflectanceFromSrgb() {
        return Spectrum.of(Srgb.ofHex("#cc7722"));
    }

    @Benchmark
    public double filmOverGround() {
        return KubelkaMunk.over(0.4, 1.7, 0.3);
    }
}
