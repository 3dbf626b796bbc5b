"""Optima of the stored schedule cases by a general constraint solver, written to optima.json.

Run: npx tsx tools/schedule/printCases.ts | python3 tools/schedule/optima.py > tools/schedule/optima.json
Each case comes with a cap, a finish that some plan reaches: nothing later is looked at. Needs ortools (see
requirements.txt). Not needed to run or test the app.
"""

import json
import sys

from ortools.sat.python import cp_model

LIMIT_SECONDS = 240


def within(stretches, cap):
    """Stretches as far as they lie before the cap, those that touch as one."""
    merged = []
    for each in sorted(stretches, key=lambda each: each["from"]):
        start, end = max(0, each["from"]), min(cap, each["to"])
        if start >= end:
            continue
        if merged and start <= merged[-1][1]:
            merged[-1] = (merged[-1][0], max(merged[-1][1], end))
        else:
            merged.append((start, end))
    return merged


def add_calendar(model, problem, activity, start, off, end):
    """Work rests over idle stretches and goes on, over closed ones it is not left; what runs unattended meets no still one."""
    rests = []
    for first, last in within(problem["closed"], problem["cap"]):
        before = model.new_bool_var("")
        model.add(off <= first).only_enforce_if(before)
        model.add(start >= last).only_enforce_if(before.negated())
    for first, last in within(problem["idle"], problem["cap"]):
        before = model.new_bool_var("")
        over = model.new_bool_var("")
        model.add(start < first).only_enforce_if(before)
        model.add(start >= last).only_enforce_if(before.negated())
        model.add_implication(over, before)
        model.add(off > last).only_enforce_if(over)
        model.add(off <= first).only_enforce_if([before, over.negated()])
        rests.append((last - first) * over)
    model.add(off == start + activity["handsOn"] + sum(rests))
    model.add(end == off + activity["unattended"])
    if activity["unattended"] > 0:
        for first, last in within(problem["still"], problem["cap"]):
            before = model.new_bool_var("")
            model.add(end <= first).only_enforce_if(before)
            model.add(off >= last).only_enforce_if(before.negated())


def dry_spells(problem):
    spells, start = [], 0
    for each in sorted(problem["shut"], key=lambda each: each["from"]):
        if each["from"] > start:
            spells.append((start, min(each["from"], problem["horizon"])))
        start = max(start, each["to"])
    if start < problem["horizon"]:
        spells.append((start, problem["horizon"]))
    return spells


def optimum(problem):
    model = cp_model.CpModel()
    horizon = problem["cap"]
    times = {}
    people, machines, openings = [], {}, {}
    for activity in problem["activities"]:
        name = activity["id"]
        start = model.new_int_var(0, horizon, f"start {name}")
        off = model.new_int_var(0, horizon, f"off {name}")
        end = model.new_int_var(0, horizon, f"end {name}")
        add_calendar(model, problem, activity, start, off, end)
        times[name] = (start, off, end)
        work = model.new_int_var(0, horizon, f"work {name}")
        people.append(model.new_interval_var(start, work, off, f"hands on {name}"))
        if "machine" in activity:
            held = model.new_int_var(0, horizon, f"held {name}")
            one = model.new_interval_var(start, held, end, f"machine {name}")
            machines.setdefault(activity["machine"], []).append(one)
        model.add(start >= activity.get("notBefore", 0))
        for earlier in activity["after"]:
            model.add(start >= times[earlier][2])
        for earlier in activity.get("alongside", []):
            model.add(start >= times[earlier][1])
        if "opening" in activity:
            openings.setdefault(activity["opening"], []).append((start, end))
    if problem["people"] == 1:
        model.add_no_overlap(people)
    else:
        model.add_cumulative(people, [1] * len(people), problem["people"])
    for intervals in machines.values():
        model.add_no_overlap(intervals)
    for number, spans in openings.items():
        choices = []
        for k, (first, last) in enumerate(dry_spells(problem)):
            chosen = model.new_bool_var(f"opening {number} in {k}")
            for start, end in spans:
                model.add(start >= first).only_enforce_if(chosen)
                model.add(end <= last).only_enforce_if(chosen)
            choices.append(chosen)
        model.add_exactly_one(choices)
    finish = model.new_int_var(0, horizon, "finish")
    model.add_max_equality(finish, [end for _, _, end in times.values()])
    model.minimize(finish)
    solver = cp_model.CpSolver()
    solver.parameters.max_time_in_seconds = LIMIT_SECONDS
    solver.parameters.num_workers = 2
    status = solver.solve(model)
    if status == cp_model.INFEASIBLE:
        return {"status": "infeasible"}
    return {
        "status": "optimal" if status == cp_model.OPTIMAL else "bounded",
        "finish": int(solver.objective_value),
        "bound": int(solver.best_objective_bound),
    }


def main():
    cases = json.load(sys.stdin)
    rows = []
    for case in cases:
        rows.append({"seed": case["seed"], **optimum(case["problem"])})
        print(rows[-1], file=sys.stderr, flush=True)
    json.dump(rows, sys.stdout, indent=1)
    print()


if __name__ == "__main__":
    main()
