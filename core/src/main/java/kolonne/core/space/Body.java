package kolonne.core.space;

import kolonne.core.model.Material;
import kolonne.core.model.Member;
import kolonne.core.model.Section;

/**
 * The concrete of a member.
 *
 * @param at     where its axis begins, as the frame of its line or lift sees it; it runs along the frame's x axis
 * @param rise   of the middle of its depth above that axis [mm]
 * @param length [mm]
 */
public record Body(Member member, Section section, Material material, Point3 at, double rise, double length) {}
