package mosspebble.core.sketch;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mosspebble.core.area.Shapes;
import org.locationtech.jts.geom.Geometry;

/** Which colours a silhouette that is left free lets be seen. */
public final class Exposed {

    private Exposed() {}

    /**
     * @return share of the silhouette by colour slot, the largest first; what lies on the ground or the bare stone is under the empty name
     */
    public static Map<String, Double> of(PlacedDesign design, String item) {
        PlacedItem over = design.item(item).orElseThrow(() -> new IllegalArgumentException("there is no such thing on the stone: " + item));
        Geometry free = over.silhouette();
        double whole = Math.max(1e-9, free.getArea());
        List<PlacedPart> parts = design.items().subList(0, design.items().indexOf(over)).stream().flatMap(i -> i.parts().stream())
                .filter(p -> p.part().role() == Role.FILL).toList();
        Map<String, Double> shares = new LinkedHashMap<>();
        Geometry left = free;
        for (int i = parts.size() - 1; i >= 0 && !left.isEmpty(); i--) {
            Geometry seen = Shapes.common(parts.get(i).drawn(), left);
            if (seen.getArea() > 0.002 * whole) {
                shares.merge(parts.get(i).part().slot(), seen.getArea() / whole, Double::sum);
            }
            left = Shapes.minus(left, parts.get(i).drawn());
        }
        if (left.getArea() > 0.002 * whole) {
            shares.put("", left.getArea() / whole);
        }
        Map<String, Double> sorted = new LinkedHashMap<>();
        shares.entrySet().stream().sorted((a, b) -> Double.compare(b.getValue(), a.getValue()))
                .forEach(e -> sorted.put(e.getKey(), e.getValue()));
        return sorted;
    }
}
