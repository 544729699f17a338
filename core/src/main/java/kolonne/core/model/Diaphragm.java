package kolonne.core.model;

import java.util.List;

/**
 * Joints of one floor.
 *
 * @param rigid true: they move together in plan as a rigid plate (translations X, Y and rotation about Z); false: the
 *              floor is too flexible for that and its joints move on their own
 */
public record Diaphragm(String id, List<String> joints, boolean rigid) {
    public Diaphragm {
        joints = List.copyOf(joints);
    }

    public Diaphragm(String id, List<String> joints) {
        this(id, joints, true);
    }
}
