package kolonne.core.model;

import java.util.List;

/** Joints of one level that move together in plan as a rigid plate (translations X, Y and rotation about Z). */
public record Diaphragm(String id, List<String> joints) {
    public Diaphragm {
        joints = List.copyOf(joints);
    }
}
