package kolonne.core.model;

import java.util.List;

/**
 * The whole analysis model. Lists keep the order of the file; ids are unique within a list. Records here are plain
 * data: {@link ModelCheck} says what is wrong with them, {@link BuildingIndex} finds by id.
 *
 * @param unitSystem the display system of the file ("SI" or "US"); the values here are always N, mm, MPa, rad
 */
public record Building(
        String name,
        String unitSystem,
        AnalysisOptions options,
        List<Storey> storeys,
        List<GridLine> gridLines,
        List<Joint> joints,
        List<Material> materials,
        List<Section> sections,
        List<Member> members,
        List<Support> supports,
        List<Spring> springs,
        List<Diaphragm> diaphragms,
        List<SlabPanel> panels,
        List<LoadCase> loadCases,
        List<MemberLoad> memberLoads,
        List<AreaLoad> areaLoads,
        List<JointLoad> jointLoads,
        List<Settlement> settlements,
        List<Combination> combinations,
        List<StationForces> stationForces) {
    public Building {
        storeys = List.copyOf(storeys);
        gridLines = List.copyOf(gridLines);
        joints = List.copyOf(joints);
        materials = List.copyOf(materials);
        sections = List.copyOf(sections);
        members = List.copyOf(members);
        supports = List.copyOf(supports);
        springs = List.copyOf(springs);
        diaphragms = List.copyOf(diaphragms);
        panels = List.copyOf(panels);
        loadCases = List.copyOf(loadCases);
        memberLoads = List.copyOf(memberLoads);
        areaLoads = List.copyOf(areaLoads);
        jointLoads = List.copyOf(jointLoads);
        settlements = List.copyOf(settlements);
        combinations = List.copyOf(combinations);
        stationForces = List.copyOf(stationForces);
    }

    /** Whether the forces come with the file instead of from Kolonne's own analysis. */
    public boolean hasImportedForces() {
        return !stationForces.isEmpty();
    }

    /** The same values, shown in other units. */
    public Building withUnitSystem(String shown) {
        return new Building(
                name,
                shown,
                options,
                storeys,
                gridLines,
                joints,
                materials,
                sections,
                members,
                supports,
                springs,
                diaphragms,
                panels,
                loadCases,
                memberLoads,
                areaLoads,
                jointLoads,
                settlements,
                combinations,
                stationForces);
    }

    public Building withOptions(AnalysisOptions o) {
        return new Building(
                name,
                unitSystem,
                o,
                storeys,
                gridLines,
                joints,
                materials,
                sections,
                members,
                supports,
                springs,
                diaphragms,
                panels,
                loadCases,
                memberLoads,
                areaLoads,
                jointLoads,
                settlements,
                combinations,
                stationForces);
    }

    public Building withMembers(List<Member> m) {
        return new Building(
                name,
                unitSystem,
                options,
                storeys,
                gridLines,
                joints,
                materials,
                sections,
                m,
                supports,
                springs,
                diaphragms,
                panels,
                loadCases,
                memberLoads,
                areaLoads,
                jointLoads,
                settlements,
                combinations,
                stationForces);
    }

    public Building withSections(List<Section> s) {
        return new Building(
                name,
                unitSystem,
                options,
                storeys,
                gridLines,
                joints,
                materials,
                s,
                members,
                supports,
                springs,
                diaphragms,
                panels,
                loadCases,
                memberLoads,
                areaLoads,
                jointLoads,
                settlements,
                combinations,
                stationForces);
    }

    public Building withLoads(
            List<LoadCase> cases, List<MemberLoad> loads, List<AreaLoad> areas, List<Combination> combined) {
        return new Building(
                name,
                unitSystem,
                options,
                storeys,
                gridLines,
                joints,
                materials,
                sections,
                members,
                supports,
                springs,
                diaphragms,
                panels,
                cases,
                loads,
                areas,
                jointLoads,
                settlements,
                combined,
                stationForces);
    }

    public Building withStationForces(List<StationForces> f) {
        return new Building(
                name,
                unitSystem,
                options,
                storeys,
                gridLines,
                joints,
                materials,
                sections,
                members,
                supports,
                springs,
                diaphragms,
                panels,
                loadCases,
                memberLoads,
                areaLoads,
                jointLoads,
                settlements,
                combinations,
                f);
    }
}
