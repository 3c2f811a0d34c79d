// What was done on this phone and has not reached the server: sets, and the forms of the floor. It is kept in the browser's
// own store and sent in order, once each. What was sent stays for a day, so that a page opened without a line knows of it.
import { openDB } from "../vendor/idb/index.js";

const DAY = 24 * 60 * 60 * 1000;
const FIRST_PAUSE = 5000;
const LONGEST_PAUSE = 5 * 60 * 1000;
// a line that neither answers nor breaks is none: what hangs on it is sent again
export const PATIENCE = 30 * 1000;
const STORE = "sets";

let database = null;
function open() {
  database = database || openDB("yarbel-floor", 1, {
    upgrade(db) {
      db.createObjectStore(STORE, { keyPath: "order", autoIncrement: true }).createIndex("token", "token");
    }
  });
  return database;
}
const all = async () => (await open()).getAll(STORE);
const remove = async (item) => (await open()).delete(STORE, item.order);

// Changes an item in one transaction, and only where nobody has changed it since it was read.
async function settle(item, change) {
  const transaction = (await open()).transaction(STORE, "readwrite");
  const now = await transaction.store.get(item.order);
  const unchanged = Boolean(now) && revision(now) === revision(item);
  if (unchanged) {
    await transaction.store.put({ ...now, ...change });
  }
  await transaction.done;
  return unchanged;
}
const revision = (item) => item.revision || 0;

// How long an item waits that the server could not take now, by how often it was tried.
export function pause(tries) {
  return Math.min(LONGEST_PAUSE, FIRST_PAUSE * 2 ** Math.max(0, tries - 1));
}

// Whether a later item must wait for an earlier one that did not get through. Sets of a day stand for themselves; a change
// of the day, an answer or its end is what it is only after all that came before it.
export function waitsFor(later, earlier) {
  return later.day === earlier.day && (later.kind === "form" || earlier.kind === "form");
}

// What an answer means: sent; refused, which will never change; again, which may; signed-out.
export function verdict(status) {
  if (status >= 200 && status < 400) {
    return "sent";
  }
  if (status === 401) {
    return "signed-out";
  }
  return status >= 500 || status === 408 || status === 429 ? "again" : "refused";
}

// state: waiting, refused (the server says why) or sent.
export const queue = {
  owner: null,
  trouble: null,
  // the tokens of what was sent from this page
  own: new Set(),
  changed: () => {},
  sent: () => {},
  // an answer that refuses a form: true where it is shown, so that the form is in the hand again
  refused: () => false,

  async add(item) {
    const transaction = (await open()).transaction(STORE, "readwrite");
    const before = (await transaction.store.getAll()).find((other) => other.owner === this.owner && other.state !== "sent"
      && isSame(other, item));
    item.state = "waiting";
    item.owner = this.owner;
    item.revision = 1;
    if (before) {
      // the same set once more before it went, or while it was on its way: it is the one set, as it stands now
      item.order = before.order;
      item.token = before.token;
      item.at = before.at;
      item.revision = revision(before) + 1;
      item.body = replace(item.body, "token", item.token);
    }
    await transaction.store.put(item);
    await transaction.done;
    this.changed();
    return this.send();
  },

  async unsent() {
    return (await all()).filter((item) => item.owner === this.owner && item.state !== "sent");
  },

  async isWaiting() {
    return (await this.unsent()).some((item) => item.state === "waiting");
  },

  async others() {
    return (await all()).filter((item) => item.owner !== this.owner && item.state !== "sent");
  },

  // Everything done here for a day that the page may not know of.
  async ofDay(day, served) {
    return (await all()).filter((item) => item.owner === this.owner && item.day === day
      && (item.state !== "sent" || item.sentAt > served));
  },

  async drop(item) {
    await remove(item);
    this.changed();
  },

  // What the log says otherwise is overwritten by this one, as a correction.
  async insist(item) {
    await settle(item, {
      body: replace(item.body, "correct", "true"), state: "waiting", revision: revision(item) + 1, tries: 0, notBefore: 0
    });
    this.changed();
    return this.send();
  },

  // One sender at a time, in every tab.
  send() {
    if (navigator.locks) {
      return navigator.locks.request("yarbel-floor-send", () => this.drain());
    }
    this.sending = (this.sending || Promise.resolve()).then(() => this.drain());
    return this.sending;
  },

  async drain() {
    await this.forget();
    const waiting = (await this.unsent()).filter((item) => item.state === "waiting");
    if (waiting.length === 0) {
      this.trouble = null;
      this.changed();
      return;
    }
    const pass = await this.pass();
    if (!pass) {
      this.changed();
      return;
    }
    this.trouble = null;
    const held = [];
    let last = null;
    for (const item of waiting) {
      if (held.some((earlier) => waitsFor(item, earlier)) || (item.notBefore || 0) > Date.now()) {
        held.push(item);
        continue;
      }
      const answer = await this.post(item, pass);
      if (answer.stop) {
        break;
      }
      if (answer.verdict === "again") {
        held.push(item);
      }
      last = answer;
    }
    this.changed();
    if (last && last.verdict === "sent" && !await this.isWaiting()) {
      this.sent(last.text);
    }
  },

  // Who is signed in, and the token without which nothing is taken.
  async pass() {
    let response;
    const asked = Date.now();
    try {
      response = await fetch("/pass", { headers: { "HX-Request": "true" }, cache: "no-store", signal: AbortSignal.timeout(PATIENCE) });
    } catch (away) {
      this.trouble = "away";
      return null;
    }
    if (response.status === 401 || response.status === 403) {
      this.trouble = "signed-out";
      return null;
    }
    if (!response.ok) {
      this.trouble = "away";
      return null;
    }
    const pass = await response.json();
    // how far this phone's clock stands from the server's; half of the way there and back is the way there
    pass.ahead = pass.now - (asked + Date.now()) / 2;
    if (String(pass.account) !== this.owner) {
      this.trouble = "signed-out";
      return null;
    }
    return pass;
  },

  // Sends one item and writes down what came of it. Everything stays when the line broke or the sign-in did.
  async post(item, pass) {
    const headers = { "Content-Type": "application/x-www-form-urlencoded", "HX-Request": "true" };
    headers[pass.header] = pass.token;
    this.own.add(item.token);
    let response;
    let text;
    try {
      response = await fetch(item.action, {
        method: "POST", headers, body: replace(item.body, "at", String(Math.round(item.at + pass.ahead))),
        signal: AbortSignal.timeout(PATIENCE)
      });
      text = await response.text();
    } catch (away) {
      this.trouble = "away";
      return { stop: true };
    }
    const what = verdict(response.status);
    if (what === "signed-out") {
      this.trouble = "signed-out";
      return { stop: true };
    }
    if (what === "sent") {
      await settle(item, { state: "sent", sentAt: Date.now() });
    } else if (what === "again") {
      const tries = (item.tries || 0) + 1;
      await settle(item, { tries, notBefore: Date.now() + pause(tries) });
      this.trouble = response.status === 503 ? "away" : "busy";
      // a server that is away as a whole is not asked for each item
      return { verdict: what, stop: response.status === 503 };
    } else {
      const said = {
        state: "refused", status: response.status, says: says(text), asked: asked(text), taken: response.headers.get("Yarbel-Taken") === "yes"
      };
      if (await settle(item, said) && item.kind === "form" && this.refused(text, item)) {
        await remove(item);
      }
    }
    return { verdict: what, text };
  },

  // What was sent long ago is known to every page by now.
  async forget() {
    for (const item of await all()) {
      if (item.state === "sent" && Date.now() - item.sentAt > DAY) {
        await remove(item);
      }
    }
  }
};

// The same set of the same day; a form is another one each time it is sent, unless it is the very same.
function isSame(one, other) {
  return (one.kind || "set") === (other.kind || "set") && one.day === other.day
    && (one.kind === "form" ? one.token === other.token : one.task === other.task);
}

export function replace(body, name, value) {
  const parameters = new URLSearchParams(body);
  parameters.set(name, value);
  return parameters.toString();
}

// What a form that was only asked about sends along when it is meant.
function asked(html) {
  const form = new DOMParser().parseFromString(html, "text/html").querySelector(".now form.log");
  const fields = form ? Array.from(form.querySelectorAll("[name=confirmed], [name=meant]")) : [];
  return Object.fromEntries(fields.map((field) => [field.name, field.value]));
}

function says(html) {
  const page = new DOMParser().parseFromString(html, "text/html");
  const bad = page.querySelector(".now .bad") || page.querySelector("#floor .bad");
  return bad ? bad.textContent : "";
}
