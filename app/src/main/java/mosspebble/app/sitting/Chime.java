package mosspebble.app.sitting;

import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.Clip;
import javax.sound.sampled.LineEvent;
import javax.sound.sampled.LineUnavailableException;
import mosspebble.files.Journal;

/** A soft sound, like a spoon on a cup: two partials that die away. Silent where the machine has nothing to sound with. */
final class Chime {

    private static final float RATE = 22_050;
    private static final double SECONDS = 0.9;
    private static final double LOUD = 0.22;

    private Chime() {}

    /** Sounds once, beside everything else. */
    static void sound() {
        Thread thread = new Thread(Chime::play, "chime");
        thread.setDaemon(true);
        thread.start();
    }

    private static void play() {
        try {
            byte[] wave = wave();
            Clip clip = AudioSystem.getClip();
            clip.addLineListener(e -> {
                if (e.getType() == LineEvent.Type.STOP) {
                    clip.close();
                }
            });
            clip.open(new AudioFormat(RATE, 16, 1, true, false), wave, 0, wave.length);
            clip.start();
        } catch (LineUnavailableException | IllegalArgumentException | UnsatisfiedLinkError e) {
            Journal.note("no sound here");
        }
    }

    /** Samples of 16 bits, little end first. */
    static byte[] wave() {
        int count = (int) (RATE * SECONDS);
        byte[] bytes = new byte[2 * count];
        for (int i = 0; i < count; i++) {
            double t = i / RATE;
            double sample = LOUD * Math.min(1, t * 200)
                    * (Math.exp(-5 * t) * Math.sin(2 * Math.PI * 880 * t) + 0.4 * Math.exp(-9 * t) * Math.sin(2 * Math.PI * 2_217 * t));
            int value = (int) Math.round(sample * Short.MAX_VALUE);
            bytes[2 * i] = (byte) value;
            bytes[2 * i + 1] = (byte) (value >> 8);
        }
        return bytes;
    }
}
