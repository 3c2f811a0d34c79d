// Sets that were logged on this phone: kept in the browser's own store until the server has them, sent in order, once each.
// A set that was sent stays for a day, so that a page opened without a line knows of it.
const DAY = 24 * 60 * 60 * 1000;

let database = null;

function open() {
  if (!database) {
    database = new Promise((resolve, reject) => {
      const request = indexedDB.open("yarbel-floor", 1);
      request.onupgradeneeded = () => {
        request.result.createObjectStore("sets", { keyPath: "order", autoIncrement: true })
          .createIndex("token", "token");
      };
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(request.error);
    });
  }
  return database;
}

async function store(mode, work) {
  const db = await open();
  return new Promise((resolve, reject) => {
    const transaction = db.transaction("sets", mode);
    const request = work(transaction.objectStore("sets"));
    transaction.oncomplete = () => resolve(request && request.result);
    transaction.onerror = () => reject(transaction.error);
    transaction.onabort = () => reject(transaction.error);
  });
}

const all = () => store("readonly", (sets) => sets.getAll());
const put = (item) => store("readwrite", (sets) => sets.put(item));
const remove = (item) => store("readwrite", (sets) => sets.delete(item.order));

// state: waiting, refused (the server says why) or sent.
export const queue = {
  owner: null,
  trouble: null,
  // the tokens of what was sent from this page
  own: new Set(),
  changed: () => {},
  sent: () => {},

  async add(item) {
    const waiting = (await this.unsent()).filter((other) => other.task === item.task && other.day === item.day);
    item.state = "waiting";
    item.owner = this.owner;
    if (waiting.length > 0) {
      // the same set once more before it went: it is the one set, as it stands now
      item.order = waiting[0].order;
      item.token = waiting[0].token;
      item.at = waiting[0].at;
      item.body = replace(item.body, "token", item.token);
    }
    await put(item);
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

  // Everything logged here for a day that the page may not know of.
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
    item.body = replace(item.body, "correct", "true");
    item.state = "waiting";
    await put(item);
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
    let last = null;
    for (const item of waiting) {
      const answer = await this.post(item, pass);
      if (!answer) {
        this.changed();
        return;
      }
      last = answer;
    }
    this.trouble = null;
    this.changed();
    if (last.ok && !await this.isWaiting()) {
      this.sent(last.text);
    }
  },

  // Who is signed in, and the token without which nothing is taken.
  async pass() {
    let response;
    const asked = Date.now();
    try {
      response = await fetch("/pass", { headers: { "HX-Request": "true" }, cache: "no-store" });
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

  // Null when the line broke or the sign-in did: everything stays.
  async post(item, pass) {
    const headers = { "Content-Type": "application/x-www-form-urlencoded", "HX-Request": "true" };
    headers[pass.header] = pass.token;
    this.own.add(item.token);
    let response;
    let text;
    try {
      response = await fetch(item.action, {
        method: "POST", headers, body: replace(item.body, "at", String(Math.round(item.at + pass.ahead)))
      });
      text = await response.text();
    } catch (away) {
      this.trouble = "away";
      return null;
    }
    if (response.status === 401 || response.status === 403) {
      this.trouble = "signed-out";
      return null;
    }
    if (response.status >= 500) {
      this.trouble = "away";
      return null;
    }
    if (response.ok) {
      item.state = "sent";
      item.sentAt = Date.now();
    } else {
      item.state = "refused";
      item.status = response.status;
      item.says = says(text);
      item.taken = response.headers.get("Yarbel-Taken") === "yes";
    }
    await put(item);
    return { ok: response.ok, text };
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

function replace(body, name, value) {
  const parameters = new URLSearchParams(body);
  parameters.set(name, value);
  return parameters.toString();
}

function says(html) {
  const bad = new DOMParser().parseFromString(html, "text/html").querySelector(".now .bad");
  return bad ? bad.textContent : "";
}
