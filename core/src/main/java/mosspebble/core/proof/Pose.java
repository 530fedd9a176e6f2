package mosspebble.core.proof;

/**
 * Where the stone's frame lies on the sheet.
 *
 * @param x of its origin, mm on the sheet
 * @param turn radians clockwise
 */
record Pose(double x, double y, double turn) {

    /** Turned further, radians. */
    Pose turned(double by) {
        return new Pose(x, y, turn + by);
    }

    double sheetX(double ownX, double ownY) {
        return x + Math.cos(turn) * ownX - Math.sin(turn) * ownY;
    }

    double sheetY(double ownX, double ownY) {
        return y + Math.sin(turn) * ownX + Math.cos(turn) * ownY;
    }

    double ownX(double sheetX, double sheetY) {
        return Math.cos(turn) * (sheetX - x) + Math.sin(turn) * (sheetY - y);
    }

    double ownY(double sheetX, double sheetY) {
        return -Math.sin(turn) * (sheetX - x) + Math.cos(turn) * (sheetY - y);
    }
}
