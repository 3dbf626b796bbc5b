"""Write the compact saturation tables and the test fixture from the reference library.

Usage (only to regenerate; the application never needs Python):
    python3 -m venv .venv && .venv/bin/pip install -r tools/properties/requirements.txt
    .venv/bin/python tools/properties/generate.py

Output
    src/core/physics/refrigerants/tables/<name>.json      nodes along the bubble and the dew line
    src/core/physics/refrigerants/fixtures/reference.json  points between the nodes, vapour, liquid and cycles, for the unit tests

Units: K, Pa, kg/m3, J/kg, J/(kg K). Enthalpy and entropy are shifted so that
saturated liquid at 273.15 K has 200 kJ/kg and 1 kJ/(kg K) (the IIR reference state).
"""

import itertools
import json
import math
import random
from dataclasses import dataclass
from pathlib import Path

import CoolProp
from CoolProp import AbstractState
from CoolProp import CoolProp as CP

ROOT = Path(__file__).resolve().parents[2]
TABLES = ROOT / "src/core/physics/refrigerants/tables"
FIXTURE = ROOT / "src/core/physics/refrigerants/fixtures/reference.json"

COLDEST_K = 198.15  # -75 C
BELOW_CRITICAL_K = 5.0
NODE_STEP_K = 2.0
FINE_STEP_K = 1.0  # within FINE_ZONE_K of the critical temperature
FINE_ZONE_K = 30.0
FIXTURE_POINTS = 40
VAPOUR_POINTS = 30
LIQUID_POINTS = 12
REFERENCE_K = 273.15
# Superheated vapour: dew temperatures every VAPOUR_STEP_K, closer near critical, by superheats above the dew line.
VAPOUR_STEP_K = 6.0
VAPOUR_FINE_STEP_K = 2.5
SUPERHEATS_K = [0.0, 1.5, 4.0, 8.0, 14.0, 22.0, 32.0, 45.0, 60.0, 80.0, 105.0, 140.0]
LIQUID_STEP = 0.03  # share of the critical pressure over which compressed liquid is sampled
ESTIMATED_RULE = "Lorentz-Berthelot"
NUDGES_K = [0.0, 0.003, -0.003, 0.01, -0.01, 0.03, -0.03, 0.07, -0.07]


@dataclass(frozen=True)
class Source:
    """One refrigerant and the model of the reference library that describes it."""

    name: str
    model: str  # a fluid of the library, or components joined by '&'
    mass_fractions: tuple = ()

    @property
    def is_mixture(self):
        return bool(self.mass_fractions)


SOURCES = [
    Source("R-22", "R22"),
    Source("R-410A", "R410A"),
    Source("R-32", "R32"),
    Source("R-454B", "R32&R1234yf", (0.689, 0.311)),
    Source("R-134a", "R134a"),
    Source("R-404A", "R404A"),
    Source("R-407C", "R407C"),
    Source("R-448A", "R32&R125&R1234yf&R134a&R1234ze(E)", (0.26, 0.26, 0.20, 0.21, 0.07)),
    Source("R-290", "n-Propane"),
    Source("R-407A", "R32&R125&R134a", (0.20, 0.40, 0.40)),
    Source("R-407F", "R32&R125&R134a", (0.30, 0.30, 0.40)),
    Source("R-507A", "R507A"),
    Source("R-449A", "R32&R125&R1234yf&R134a", (0.243, 0.247, 0.253, 0.257)),
    Source("R-438A", "R32&R125&R134a&n-Butane&Isopentane", (0.085, 0.45, 0.442, 0.017, 0.006)),
    Source("R-427A", "R32&R125&R143a&R134a", (0.15, 0.25, 0.10, 0.50)),
    Source("R-422D", "R125&R134a&IsoButane", (0.651, 0.315, 0.034)),
    Source("R-421A", "R125&R134a", (0.58, 0.42)),
    Source("R-513A", "R1234yf&R134a", (0.56, 0.44)),
    Source("R-1234yf", "R1234yf"),
    Source("R-600a", "IsoButane"),
    Source("R-12", "R12"),
    Source("R-452A", "R32&R125&R1234yf", (0.11, 0.59, 0.30)),
    Source("R-452B", "R32&R125&R1234yf", (0.67, 0.07, 0.26)),
    Source("R-454A", "R32&R1234yf", (0.35, 0.65)),
    Source("R-454C", "R32&R1234yf", (0.215, 0.785)),
    Source("R-455A", "CO2&R32&R1234yf", (0.03, 0.215, 0.755)),
]


def estimate_missing_pairs(source):
    """Gives pairs without published parameters the library's simple mixing rule; returns their names."""
    cas = {c: CP.get_fluid_param_string(c, "CAS") for c in source.model.split("&")}
    estimated = []
    for one, other in itertools.combinations(cas, 2):
        key = {cas[one], cas[other]}
        if key not in KNOWN_PAIRS:
            CP.apply_simple_mixing_rule(cas[one], cas[other], ESTIMATED_RULE)
            estimated.append(f"{one}-{other}")
    return estimated


KNOWN_PAIRS = [set(pair.split("&")) for pair in CP.get_global_param_string("mixture_binary_pairs_list").split(",")]


def state_of(source):
    state = AbstractState("HEOS", source.model)
    if source.is_mixture:
        state.set_mass_fractions(list(source.mass_fractions))
    return state


def critical_of(source, state):
    """Critical temperature, pressure and density; for a mixture the stable critical point."""
    if not source.is_mixture:
        return state.T_critical(), state.p_critical(), state.rhomass_critical()
    points = [p for p in state.all_critical_points() if p.stable and p.p > 0]
    point = max(points, key=lambda p: p.T)
    return point.T, point.p, point.rhomolar * state.molar_mass()


def saturated(state, quality, kelvin):
    """Pressure, density, enthalpy, entropy and heat capacity on one line; None where no solution."""
    try:
        state.update(CoolProp.QT_INPUTS, quality, kelvin)
        keyed = (
            state.saturated_liquid_keyed_output if quality == 0 else state.saturated_vapor_keyed_output
        )
        values = (
            state.p(),
            keyed(CoolProp.iDmass),
            keyed(CoolProp.iHmass),
            keyed(CoolProp.iSmass),
            keyed(CoolProp.iCpmass),
        )
    except ValueError:
        return None
    return values if all(math.isfinite(v) and v != 0 for v in values) else None


def robust(state, quality, kelvin):
    """Like saturated, but steps round isolated failures of the solver.

    A failing temperature is replaced by the mean of two symmetric neighbours at
    most 0.07 K away; the error of that is second order and far below 0.001 K.
    """
    direct = saturated(state, quality, kelvin)
    if direct:
        return direct
    for nudge in (n for n in NUDGES_K if n > 0):
        low = saturated(state, quality, kelvin - nudge)
        high = saturated(state, quality, kelvin + nudge)
        if low and high:
            p = math.sqrt(low[0] * high[0])
            return (p, *((a + b) / 2 for a, b in zip(low[1:], high[1:])))
    return None


def single_phase(state, phase, pascals, kelvin):
    """Enthalpy, entropy, density and heat capacity of one phase alone; None where the solver fails."""
    state.specify_phase(phase)
    try:
        state.update(CoolProp.PT_INPUTS, pascals, kelvin)
        return state.hmass(), state.smass(), state.rhomass(), state.cpmass()
    except ValueError:
        return None
    finally:
        state.unspecify_phase()


def gas(state, pascals, kelvin):
    return single_phase(state, CoolProp.iphase_gas, pascals, kelvin)


def liquid(state, pascals, kelvin):
    return single_phase(state, CoolProp.iphase_liquid, pascals, kelvin)


def compressed(state, node, critical_pa):
    """Relative density rise a pascal and enthalpy rise a pascal of liquid above its bubble pressure, at constant T."""
    p, density, enthalpy = node["bubble"][:3]
    step = LIQUID_STEP * critical_pa
    above = liquid(state, p + step, node["T"])
    if not above or not 0 <= above[2] / density - 1 < 0.2:
        return None
    return (above[2] / density - 1) / step, (above[0] - enthalpy) / step


def vapour_row(state, dew, kelvin):
    """Mean heat capacity, entropy heat capacity and density ratio at SUPERHEATS_K above one dew point; None on failure.

    At zero superheat the two heat capacities are those of the dew line itself.
    """
    p, density, enthalpy, entropy, capacity = dew
    rows = [(capacity, capacity, 1.0)]
    for superheat in SUPERHEATS_K[1:]:
        hot = gas(state, p, kelvin + superheat)
        if not hot or hot[2] >= density or hot[0] <= enthalpy:
            return None
        rows.append(
            (
                (hot[0] - enthalpy) / superheat,
                (hot[1] - entropy) / math.log((kelvin + superheat) / kelvin),
                hot[2] / density * (kelvin + superheat) / kelvin,
            )
        )
    return rows


def vapour_grid(nodes):
    """Indexes of the nodes that carry a row of superheated states."""
    picked, last = [], None
    for i, node in enumerate(nodes):
        fine = nodes[-1]["T"] - node["T"] < FINE_ZONE_K
        step = VAPOUR_FINE_STEP_K if fine else VAPOUR_STEP_K
        if last is None or node["T"] - last >= step - 1e-9 or i == len(nodes) - 1:
            picked.append(i)
            last = node["T"]
    return picked


def vapour_table(state, nodes):
    kept = []
    for i in vapour_grid(nodes):
        row = vapour_row(state, nodes[i]["dew"], nodes[i]["T"])
        if row:
            kept.append((nodes[i]["T"], row))
    names = ("meanHeatCapacity", "entropyHeatCapacity", "densityRatio")
    table = {"superheat": SUPERHEATS_K, "temperature": [significant(k) for k, _ in kept]}
    for j, name in enumerate(names):
        table[name] = [significant(cell[j], 6) for _, row in kept for cell in row]
    return table


def outliers(nodes):
    """Indexes of nodes whose ln p does not lie on the line of its neighbours in 1/T (false roots)."""
    bad = set()
    for line in ("bubble", "dew"):
        for i in range(2, len(nodes) - 2):
            around = [nodes[j] for j in (i - 2, i - 1, i + 1, i + 2)]
            x = [1 / n["T"] for n in around]
            y = [math.log(n[line][0]) for n in around]
            at = 1 / nodes[i]["T"]
            fit = sum(
                y[a] * math.prod((at - x[b]) / (x[a] - x[b]) for b in range(4) if b != a)
                for a in range(4)
            )
            if abs(fit - math.log(nodes[i][line][0])) > 2e-4:
                bad.add(i)
    return bad


def grid(critical_k):
    top = critical_k - BELOW_CRITICAL_K
    kelvin, out = COLDEST_K, []
    while kelvin < top:
        out.append(kelvin)
        kelvin += FINE_STEP_K if critical_k - kelvin < FINE_ZONE_K else NODE_STEP_K
    out.append(top)
    return out


def node_at(state, kelvin):
    bubble = robust(state, 0, kelvin)
    dew = robust(state, 1, kelvin)
    if not bubble or not dew or dew[0] > bubble[0] * 1.0005 or bubble[1] <= dew[1]:
        return None
    return {"T": kelvin, "bubble": bubble, "dew": dew}


def on_line(state, line, pascals, kelvin):
    """Like saturated, from one phase alone at a known pressure and temperature."""
    values = (liquid if line == "bubble" else gas)(state, pascals, kelvin)
    if not values:
        return None
    enthalpy, entropy, density, capacity = values
    return pascals, density, enthalpy, entropy, capacity


def bridged(state, nodes, wanted):
    """Fills temperatures at which the two-phase solver fails between good nodes.

    ln p of the six nearest good nodes is a very smooth function of 1/T; the other
    properties are then those of the single phase at that pressure and temperature.
    """
    known = {n["T"] for n in nodes}
    out = list(nodes)
    for kelvin in (t for t in wanted if nodes[0]["T"] < t < nodes[-1]["T"] and t not in known):
        near = sorted(nodes, key=lambda n: abs(n["T"] - kelvin))[:6]
        node = {"T": kelvin}
        for line in ("bubble", "dew"):
            x = [1 / n["T"] for n in near]
            y = [math.log(n[line][0]) for n in near]
            log_p = sum(
                y[a] * math.prod((1 / kelvin - x[b]) / (x[a] - x[b]) for b in range(6) if b != a)
                for a in range(6)
            )
            node[line] = on_line(state, line, math.exp(log_p), kelvin)
        if node["bubble"] and node["dew"] and node["bubble"][1] > node["dew"][1]:
            out.append(node)
    return sorted(out, key=lambda n: n["T"])


def significant(value, digits=8):
    return float(f"{value:.{digits}g}")


def shifted(values, shift_h, shift_s):
    p, d, h, s, c = values
    return [significant(p), significant(d), significant(h + shift_h), significant(s + shift_s), significant(c)]


def columns(nodes, line, shift_h, shift_s):
    rows = [shifted(n[line], shift_h, shift_s) for n in nodes]
    names = ("pressure", "density", "enthalpy", "entropy", "heatCapacity")
    return {name: [row[i] for row in rows] for i, name in enumerate(names)}


def filled(values):
    """Replaces failed values by the mean of their neighbours; the outermost by the nearest."""
    good = [i for i, v in enumerate(values) if v is not None]
    out = []
    for i, value in enumerate(values):
        if value is None:
            below = max((g for g in good if g < i), default=None)
            above = min((g for g in good if g > i), default=None)
            around = [values[g] for g in (below, above) if g is not None]
            value = sum(around) / len(around)
        out.append(significant(value, 5))
    return out


def library_note(source, estimated):
    if not source.is_mixture:
        return "equation of state of the library's fluid"
    note = "mixture model of the library (Helmholtz, published binary parameters)"
    return f"{note}; estimated pairs: {', '.join(estimated)}" if estimated else note


def build(source, rng):
    estimated = estimate_missing_pairs(source) if source.is_mixture else []
    state = state_of(source)
    critical_k, critical_pa, critical_density = critical_of(source, state)
    reference = robust(state, 0, REFERENCE_K)
    shift_h, shift_s = 200e3 - reference[2], 1000.0 - reference[3]
    wanted = grid(critical_k)
    nodes = [n for n in (node_at(state, t) for t in wanted) if n]
    dropped = outliers(nodes)
    solved = [n for i, n in enumerate(nodes) if i not in dropped]
    nodes = bridged(state, solved, wanted)
    pressed = {i: compressed(state, n, critical_pa) for i, n in enumerate(nodes)}
    bubble_columns = columns(nodes, "bubble", shift_h, shift_s)
    bubble_columns["compressibility"] = filled([pressed[i] and pressed[i][0] for i in range(len(nodes))])
    bubble_columns["enthalpySlope"] = filled([pressed[i] and pressed[i][1] for i in range(len(nodes))])
    vapour = vapour_table(state, nodes)
    table = {
        "name": source.name,
        "library": f"CoolProp {CoolProp.__version__}",
        "model": source.model,
        "massFractions": list(source.mass_fractions),
        "note": library_note(source, estimated),
        "molarMass": significant(state.molar_mass()),
        "critical": {
            "temperature": significant(critical_k),
            "pressure": significant(critical_pa),
            "density": significant(critical_density),
        },
        "temperature": [significant(n["T"]) for n in nodes],
        "bubble": bubble_columns,
        "dew": columns(nodes, "dew", shift_h, shift_s),
        "vapour": vapour,
    }
    points = []
    low, high = nodes[0]["T"], nodes[-1]["T"]
    while len(points) < FIXTURE_POINTS:
        kelvin = rng.uniform(low, high)
        bubble, dew = saturated(state, 0, kelvin), saturated(state, 1, kelvin)
        trial = bubble and dew and {"T": kelvin, "bubble": bubble, "dew": dew}
        if not trial or is_false_root(trial, nodes):
            continue
        points.append(
            {
                "T": significant(kelvin, 10),
                "bubble": shifted(bubble, shift_h, shift_s),
                "dew": shifted(dew, shift_h, shift_s),
            }
        )
    print(
        f"{source.name}: {len(solved)} of {len(wanted)} nodes solved, {len(nodes) - len(solved)} bridged, "
        f"{nodes[0]['T'] - 273.15:.1f} to {nodes[-1]['T'] - 273.15:.1f} C, "
        f"critical {critical_k - 273.15:.2f} C, widest gap "
        f"{max(b['T'] - a['T'] for a, b in zip(nodes, nodes[1:])):.1f} K, "
        f"{len(vapour['temperature'])} vapour rows to {vapour['temperature'][-1] - 273.15:.1f} C, "
        f"{sum(v is None for v in pressed.values())} liquid gaps, estimated {estimated}",
        flush=True,
    )
    shift = (shift_h, shift_s)
    return table, {
        "saturation": points,
        "vapour": vapour_points(state, nodes, source, rng, shift),
        "liquid": liquid_points(state, nodes, source, rng, shift),
        "cycles": cycles(state, nodes, source, shift),
    }


def vapour_points(state, nodes, source, rng, shift):
    """Random superheated states: dew temperature, superheat, then p, h, s, density."""
    points = []
    while len(points) < VAPOUR_POINTS:
        kelvin = rng.uniform(max(nodes[0]["T"], 218.15), nodes[-1]["T"] - 7)
        superheat = rng.uniform(0.5, 100)
        dew = robust(state, 1, kelvin)
        if not dew or is_false_root({"T": kelvin, "dew": dew}, nodes, ("dew",)):
            continue
        hot = gas(state, dew[0], kelvin + superheat)
        if hot:
            values = (kelvin, superheat, dew[0], hot[0] + shift[0], hot[1] + shift[1], hot[2])
            points.append([significant(v) for v in values])
    return points


def liquid_points(state, nodes, source, rng, shift):
    """Random subcooled states: temperature, pressure, then h and density."""
    points = []
    while len(points) < LIQUID_POINTS:
        kelvin = rng.uniform(253.15, nodes[-1]["T"] - 12)
        subcooling = rng.uniform(1, min(25, nodes[-1]["T"] - 2 - kelvin))
        above = robust(state, 0, kelvin + subcooling)
        if not above or is_false_root({"T": kelvin + subcooling, "bubble": above}, nodes, ("bubble",)):
            continue
        cold = liquid(state, above[0], kelvin)
        if cold:
            points.append([significant(v) for v in (kelvin, above[0], cold[0] + shift[0], cold[2])])
    return points


# evaporating dew C, condensing bubble C, superheat K, subcooling K, isentropic efficiency
CYCLES = [(4.4, 43.3, 6, 6, 0.7), (3, 52, 8, 3, 0.65), (-7, 38, 10, 5, 0.7), (-30, 40, 12, 5, 0.6), (10, 30, 5, 5, 0.75)]


def isentropic(state, pascals, entropy, guess):
    """Temperature of vapour at a pressure and an entropy, by secant."""
    low, high = guess, guess + 5
    f_low, f_high = (gas(state, pascals, t)[1] - entropy for t in (low, high))
    for _ in range(40):
        step = high - f_high * (high - low) / (f_high - f_low)
        low, f_low, high = high, f_high, step
        f_high = gas(state, pascals, high)[1] - entropy
        if abs(f_high) < 1e-7 * abs(entropy) or high == low:
            return high
    raise ValueError("no isentropic end point")


def cycles(state, nodes, source, shift):
    """One-stage cycles: input, then enthalpies at suction, discharge (isentropic, real) and valve, COP, J/m3, discharge K."""
    out = []
    for evaporating, condensing, superheat, subcooling, efficiency in CYCLES:
        cold, hot = evaporating + 273.15, condensing + 273.15
        if hot > nodes[-1]["T"] - 3:
            continue
        dew, bubble = robust(state, 1, cold), robust(state, 0, hot)
        if not dew or not bubble:
            continue
        h1, s1, d1 = gas(state, dew[0], cold + superheat)
        end = isentropic(state, bubble[0], s1, hot + 25)
        h2s = gas(state, bubble[0], end)[0]
        h2 = h1 + (h2s - h1) / efficiency
        discharge = discharge_temperature(state, bubble[0], h2, end)
        h3 = liquid(state, bubble[0], hot - subcooling)[0]
        values = (h1 + shift[0], h2s + shift[0], h2 + shift[0], h3 + shift[0], (h1 - h3) / (h2 - h1), (h1 - h3) * d1, discharge)
        out.append([evaporating, condensing, superheat, subcooling, efficiency, *(significant(v) for v in values)])
    return out


def discharge_temperature(state, pascals, enthalpy, guess):
    kelvin = guess + 10
    for _ in range(60):
        here = gas(state, pascals, kelvin)[0]
        slope = (gas(state, pascals, kelvin + 0.5)[0] - here) / 0.5
        step = (enthalpy - here) / slope
        kelvin += step
        if abs(step) < 1e-6:
            return kelvin
    raise ValueError("no discharge temperature")


def is_false_root(point, nodes, lines=("bubble", "dew")):
    """True where a solver answer is off by more than 1 % from a line through the nearest nodes."""
    after = next(i for i, n in enumerate(nodes) if n["T"] >= point["T"])
    a, b = nodes[max(after - 1, 0)], nodes[max(after, 1)]
    share = (1 / point["T"] - 1 / a["T"]) / (1 / b["T"] - 1 / a["T"])
    return any(
        abs(
            math.log(point[line][0])
            - (math.log(a[line][0]) * (1 - share) + math.log(b[line][0]) * share)
        )
        > 0.01
        for line in lines
    )


def main():
    TABLES.mkdir(parents=True, exist_ok=True)
    FIXTURE.parent.mkdir(parents=True, exist_ok=True)
    fixture = {"library": f"CoolProp {CoolProp.__version__}", "points": {}}
    for source in SOURCES:
        table, points = build(source, random.Random(f"1750 {source.name}"))
        path = TABLES / f"{source.name.lower().replace('-', '')}.json"
        path.write_text(json.dumps(table, separators=(",", ":")) + "\n")
        fixture["points"][source.name] = points
    FIXTURE.write_text(json.dumps(fixture, separators=(",", ":")) + "\n")


if __name__ == "__main__":
    main()
