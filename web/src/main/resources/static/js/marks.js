// Repetitions marked in a film: clean, broken, and where it is slowest.

export class Marks {
  constructor(text) {
    this.reps = [];
    this.slowest = null;
    text.split(/\s*,\s*/).filter(Boolean).forEach((one) => {
      const [millis, what] = one.split(" ");
      this.add(Number(millis), what);
    });
  }

  add(millis, what) {
    if (what === "slowest") {
      this.slowest = millis;
    } else {
      this.reps = this.reps.filter((rep) => rep.millis !== millis);
      this.reps.push({ millis, broken: what === "broken" });
      this.reps.sort((one, other) => one.millis - other.millis);
    }
  }

  drop(millis, what) {
    if (what === "slowest") {
      this.slowest = null;
    } else {
      this.reps = this.reps.filter((rep) => rep.millis !== millis);
    }
  }

  // In the order of time, each with what it is; a repetition with its number.
  all() {
    const all = this.reps.map((rep, at) => ({ millis: rep.millis, what: rep.broken ? "broken" : "clean", number: at + 1 }));
    if (this.slowest !== null) {
      all.push({ millis: this.slowest, what: "slowest" });
    }
    return all.sort((one, other) => one.millis - other.millis);
  }

  toString() {
    return this.all().map((one) => one.millis + " " + one.what).join(", ");
  }
}
