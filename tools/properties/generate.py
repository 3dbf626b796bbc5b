"""Write the compact saturation tables and the test fixture from the reference library.

Usage (only to regenerate; the application never needs Python):
    python3 -m venv .venv && .venv/bin/pip install -r tools/properties/requirements.txt
    .venv/bin/python tools/properties/generate.py

Output
    src/core/refrigerants/tables/<name>.json      nodes along the bubble and the dew line
    src/core/refrigerants/fixtures/reference.json  points between the nodes, for the unit test

Units: K, Pa, kg/m3, J/kg, J/(kg K). Enthalpy and entropy are shifted so that
saturated liquid at 273.15 K has 200 kJ/kg and 1 kJ/(kg K) (the IIR reference state).
"""

import json
import math
import random
from dataclasses import dataclass
from pathlib import Path

import CoolProp
from CoolProp import AbstractState
from CoolProp import CoolProp as CP

ROOT = Path(__file__).resolve().parents[2]
TABLES = ROOT / "src/core/refrigerants/tables"
FIXTURE = ROOT / "src/core/refrigerants/fixtures/reference.json"

COLDEST_K = 213.15  # -60 C
BELOW_CRITICAL_K = 5.0
NODE_STEP_K = 2.0
FINE_STEP_K = 1.0  # within FINE_ZONE_K of the critical temperature
FINE_ZONE_K = 30.0
FIXTURE_POINTS = 40
REFERENCE_K = 273.15
SUPERHEAT_SPAN_K = 40.0  # span of the mean heat capacity of superheated vapour
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
]


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


def robust(state, quality, kelvin, mixture):
    """Like saturated, but steps round isolated failures of the mixture solver.

    A failing temperature is replaced by the mean of two symmetric neighbours at
    most 0.07 K away; the error of that is second order and far below 0.001 K.
    """
    direct = saturated(state, quality, kelvin)
    if direct or not mixture:
        return direct
    for nudge in (n for n in NUDGES_K if n > 0):
        low = saturated(state, quality, kelvin - nudge)
        high = saturated(state, quality, kelvin + nudge)
        if low and high:
            p = math.sqrt(low[0] * high[0])
            return (p, *((a + b) / 2 for a, b in zip(low[1:], high[1:])))
    return None


def superheated_heat_capacity(state, dew, kelvin):
    """Mean isobaric heat capacity from the dew line to SUPERHEAT_SPAN_K above it, J/(kg K)."""
    state.specify_phase(CoolProp.iphase_gas)
    try:
        state.update(CoolProp.PT_INPUTS, dew[0], kelvin + SUPERHEAT_SPAN_K)
        return (state.hmass() - dew[2]) / SUPERHEAT_SPAN_K
    finally:
        state.unspecify_phase()


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


def node_at(state, kelvin, mixture):
    bubble = robust(state, 0, kelvin, mixture)
    dew = robust(state, 1, kelvin, mixture)
    if not bubble or not dew or dew[0] > bubble[0] * 1.0005 or bubble[1] <= dew[1]:
        return None
    return {"T": kelvin, "bubble": bubble, "dew": dew}


def significant(value, digits=8):
    return float(f"{value:.{digits}g}")


def shifted(values, shift_h, shift_s):
    p, d, h, s, c = values
    return [significant(p), significant(d), significant(h + shift_h), significant(s + shift_s), significant(c)]


def columns(nodes, line, shift_h, shift_s):
    rows = [shifted(n[line], shift_h, shift_s) for n in nodes]
    names = ("pressure", "density", "enthalpy", "entropy", "heatCapacity")
    return {name: [row[i] for row in rows] for i, name in enumerate(names)}


def library_note(source):
    if not source.is_mixture:
        return "equation of state of the library's fluid"
    return "mixture model of the library (Helmholtz, published binary parameters)"


def build(source, rng):
    state = state_of(source)
    critical_k, critical_pa, critical_density = critical_of(source, state)
    liquid = robust(state, 0, REFERENCE_K, source.is_mixture)
    shift_h, shift_s = 200e3 - liquid[2], 1000.0 - liquid[3]
    wanted = grid(critical_k)
    nodes = [n for n in (node_at(state, t, source.is_mixture) for t in wanted) if n]
    dropped = outliers(nodes)
    nodes = [n for i, n in enumerate(nodes) if i not in dropped]
    dew_columns = columns(nodes, "dew", shift_h, shift_s)
    dew_columns["superheatedHeatCapacity"] = [
        significant(superheated_heat_capacity(state, n["dew"], n["T"])) for n in nodes
    ]
    table = {
        "name": source.name,
        "library": f"CoolProp {CoolProp.__version__}",
        "model": source.model,
        "massFractions": list(source.mass_fractions),
        "note": library_note(source),
        "molarMass": significant(state.molar_mass()),
        "critical": {
            "temperature": significant(critical_k),
            "pressure": significant(critical_pa),
            "density": significant(critical_density),
        },
        "temperature": [significant(n["T"]) for n in nodes],
        "bubble": columns(nodes, "bubble", shift_h, shift_s),
        "dew": dew_columns,
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
        f"{source.name}: {len(nodes)} of {len(wanted)} nodes, "
        f"{nodes[0]['T'] - 273.15:.1f} to {nodes[-1]['T'] - 273.15:.1f} C, "
        f"critical {critical_k - 273.15:.2f} C, widest gap "
        f"{max(b['T'] - a['T'] for a, b in zip(nodes, nodes[1:])):.1f} K"
    )
    return table, points


def is_false_root(point, nodes):
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
        for line in ("bubble", "dew")
    )


def main():
    rng = random.Random(1750)
    TABLES.mkdir(parents=True, exist_ok=True)
    FIXTURE.parent.mkdir(parents=True, exist_ok=True)
    fixture = {"library": f"CoolProp {CoolProp.__version__}", "points": {}}
    for source in SOURCES:
        table, points = build(source, rng)
        path = TABLES / f"{source.name.lower().replace('-', '')}.json"
        path.write_text(json.dumps(table, separators=(",", ":")) + "\n")
        fixture["points"][source.name] = points
    FIXTURE.write_text(json.dumps(fixture, separators=(",", ":")) + "\n")


if __name__ == "__main__":
    main()
