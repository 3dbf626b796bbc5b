"""How much could be known at best: a generic learner (gradient-boosted trees) on the evidence that the ranking gets.

  npm run -s learn:lines -- --file=after.jsonl --cases=18000 --after
  npm run -s learn:lines -- --file=train.jsonl --cases=50000 --from=600000
  npm run -s bench:diagnosis -- --lines=test.jsonl --physics=family
  python tools/diagnosis/ceiling.py after.jsonl train.jsonl test.jsonl [--rounds N] [--save]

"quiet" is the learner with its belief in a sound unit raised until no more than 3 % of sound units raise an alarm, as the
ranking is asked to be. Prints, for every stage of the evidence, what the learner and the ranking reach on the same rows (eight readings or more,
severity 0.5 up, a fault). --save keeps the learner's figures in tools/diagnosis/ceiling.json, where the benchmark finds them.
Tools only: running and testing Orzo needs Node alone. See requirements.txt.
"""

import argparse
import json
from pathlib import Path

import lightgbm as lgb
import numpy as np

STAGES = ("now", "afterThreeChecks", "everything")
parser = argparse.ArgumentParser()
parser.add_argument("train", nargs="+", help="files of lines: the last one is the test, as the benchmark wrote it")
parser.add_argument("--rounds", type=int, default=120)
parser.add_argument("--save", action="store_true")
args = parser.parse_args()


def rows(path):
    with open(path) as lines:
        for line in lines:
            row = json.loads(line)
            if isinstance(row, dict):
                yield row
            else:
                columns.extend(row)


columns: list[str] = []
test = list(rows(args.train[-1]))
train = [row for path in args.train[:-1] for row in rows(path)]
truths = sorted({row["truth"] for row in train} | {row["truth"] for row in test})
family_of = {row["truth"]: row["family"] for row in train + test}
families = sorted(set(family_of.values()))
to_family = np.zeros((len(truths), len(families)))
for i, truth in enumerate(truths):
    to_family[i, families.index(family_of[truth])] = 1
words = [i for i, name in enumerate(columns) if name.startswith("word ") or name in ("class", "unit")]


def matrix(lines, stage):
    return np.array([[np.nan if v is None else v for v in row["evidence"][stage]] for row in lines], dtype=float)


wanted = [row for row in test if row["isWell"] and row["truth"] != "healthy"]
sound = [row for row in test if row["isWell"] and row["truth"] == "healthy"]
found = {}
for stage, name in enumerate(STAGES):
    told = [row for row in train if row["evidence"][stage] is not None]
    if not told:
        continue
    labels = np.array([truths.index(row["truth"]) for row in told])
    model = lgb.train(
        {
            "objective": "multiclass",
            "num_class": len(truths),
            "learning_rate": 0.08,
            "num_leaves": 15,
            "min_data_in_leaf": 15,
            "feature_fraction": 0.5,
            "bagging_fraction": 0.8,
            "bagging_freq": 1,
            "lambda_l2": 2.0,
            "cat_smooth": 5,
            "min_data_per_group": 10,
            "verbosity": -1,
            "num_threads": 2,
            "seed": 1,
        },
        lgb.Dataset(matrix(told, stage), labels, categorical_feature=words),
        num_boost_round=args.rounds,
    )
    chances = model.predict(matrix(wanted, stage))
    exact = np.array([truths[k] == row["truth"] for k, row in zip(chances.argmax(1), wanted)])
    family = np.array([families[k] == row["family"] for k, row in zip((chances @ to_family).argmax(1), wanted)])
    order = np.argsort(-chances, axis=1)[:, :3]
    three = np.array([row["truth"] in [truths[k] for k in top] for top, row in zip(order, wanted)])
    quiet = model.predict(matrix(sound, stage))
    healthy = truths.index("healthy")
    alarms = np.mean([(p.argmax() != healthy) and p.max() >= 0.25 for p in quiet])
    for factor in np.exp(np.linspace(0, 4, 81)):
        calmer = quiet.copy()
        calmer[:, healthy] *= factor
        calmer /= calmer.sum(1, keepdims=True)
        if np.mean([(p.argmax() != healthy) and p.max() >= 0.25 for p in calmer]) <= 0.03:
            break
    calm = chances.copy()
    calm[:, healthy] *= factor
    calm_exact = float(np.mean([truths[k] == row["truth"] for k, row in zip(calm.argmax(1), wanted)]))
    calm_family = float(np.mean([families[k] == row["family"] for k, row in zip((calm @ to_family).argmax(1), wanted)]))
    calmed = {"exact": calm_exact, "family": calm_family}
    ours = {key: float(np.mean([row["hits"][stage][key] for row in wanted])) for key in ("exact", "family", "three")}
    best = {"exact": float(exact.mean()), "family": float(family.mean()), "three": float(three.mean())}
    found[name] = {"trained": len(told), "cases": len(wanted), "learner": best, "falseAlarms": float(alarms), "quiet": calmed}
    print(name, len(wanted), "learner", {k: round(v, 3) for k, v in best.items()}, "alarms", round(float(alarms), 3))
    print("  quiet", {k: round(v, 3) for k, v in calmed.items()}, "healthy times", round(float(factor), 1))
    print("  ranking", {k: round(v, 3) for k, v in ours.items()})
    hits = np.array([row["hits"][stage]["exact"] for row in wanted])
    lost: dict[str, list[int]] = {}
    for row, learner, ranking in zip(wanted, exact, hits):
        count = lost.setdefault(row["truth"], [0, 0, 0])
        count[0] += 1
        count[1] += int(learner)
        count[2] += int(ranking)
    gaps = sorted(lost.items(), key=lambda item: item[1][2] - item[1][1])[:14]
    print("  most to win (cases, learner, ranking):", ", ".join(f"{k} {v}" for k, v in gaps))
if args.save:
    rounded = json.loads(json.dumps(found), parse_float=lambda text: round(float(text), 3))
    target = Path(__file__).with_name("ceiling.json")
    target.write_text(json.dumps({"rounds": args.rounds, "stages": rounded}, indent=2) + "\n")
