"""Time the reference library at saturation calls and keep its answers for tools/properties/compare.ts.

Usage:
    .venv/bin/python tools/properties/compare.py /tmp/library.json [SECONDS]
    npm run -s bench:properties -- /tmp/library.json

100,000 dew pressures at random temperatures a refrigerant. The mixture solver takes milliseconds a call, about
three quarters of an hour for all: with SECONDS a mixture stops after so long and says how many calls it made.
"""

import json
import random
import sys
import time

import CoolProp

from generate import SOURCES, TABLES, estimate_missing_pairs, state_of

CALLS = 100_000


def timed(source, limit):
    if source.is_mixture:
        estimate_missing_pairs(source)
    state = state_of(source)
    table = json.loads((TABLES / f"{source.name.lower().replace('-', '')}.json").read_text())
    low, high = table["temperature"][0], table["temperature"][-1]
    rng = random.Random(f"compare {source.name}")
    kelvin = [rng.uniform(low, high) for _ in range(CALLS)]
    pascals, start = [], time.process_time()
    for t in kelvin:
        try:
            state.update(CoolProp.QT_INPUTS, 1, t)
            pascals.append(state.p())
        except ValueError:
            pascals.append(None)
        if source.is_mixture and time.process_time() - start > limit:
            break
    seconds = time.process_time() - start
    return {"name": source.name, "mixture": source.is_mixture, "seconds": seconds, "kelvin": kelvin, "pascals": pascals}


def main():
    out = {"library": f"CoolProp {CoolProp.__version__}", "runs": []}
    limit = float(sys.argv[2]) if len(sys.argv) > 2 else float("inf")
    for source in SOURCES:
        run = timed(source, limit)
        out["runs"].append(run)
        print(f"{run['name']}: {len(run['pascals'])} calls in {run['seconds']:.1f} s", flush=True)
    with open(sys.argv[1], "w") as file:
        json.dump(out, file)


if __name__ == "__main__":
    main()
