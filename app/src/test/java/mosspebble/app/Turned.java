package mosspebble.app;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** A clock that stands until a test turns it. */
public final class Turned extends Clock {

    private volatile Instant now;

    public Turned(String at) {
        now = LocalDateTime.parse(at).toInstant(ZoneOffset.UTC);
    }

    public void on(Duration time) {
        now = now.plus(time);
    }

    public void to(Instant time) {
        now = time;
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return this;
    }

    @Override
    public Instant instant() {
        return now;
    }
}
