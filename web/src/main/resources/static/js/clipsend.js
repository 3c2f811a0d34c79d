// Clips that were chosen on this phone: they wait in the browser's own store, go part by part, go on where the line broke, and
// are gone from here only once the server says that it keeps them. A clip names its set; where that has not arrived yet, it waits.
import { openDB } from "../vendor/idb/index.js";
import "../vendor/tus/tus.min.js";
import { PATIENCE, pause, queue } from "./queue.js";

const STORE = "clips";
const PART = 256 * 1024;
// the server looks at the whole clip before it keeps it
const LOOKED_AT = 4 * PATIENCE;

let database = null;
function open() {
  database = database || openDB("yarbel-clips", 1, {
    upgrade(db) {
      db.createObjectStore(STORE, { keyPath: "order", autoIncrement: true });
    }
  });
  return database;
}

// What an answer to the last question means: kept; refused, which will never change; later, which may.
export function meaning(status) {
  if (status >= 200 && status < 300) {
    return "kept";
  }
  return status === 413 || status === 415 || status === 422 || status === 400 ? "refused" : "later";
}

export const clips = {
  changed: () => {},
  kept: () => {},
  // what is on its way now, and how much of it has arrived, from 0 to 1
  now: { order: null, share: 0 },

  async all() {
    return (await (await open()).getAll(STORE)).filter((item) => item.owner === queue.owner);
  },

  async add(base, set, file) {
    await (await open()).add(STORE, { owner: queue.owner, base, set, file, name: file.name, at: Date.now(), state: "waiting", tries: 0 });
    this.changed();
    return this.send();
  },

  async change(item, what) {
    Object.assign(item, what);
    await (await open()).put(STORE, item);
    this.changed();
  },

  async drop(item) {
    await (await open()).delete(STORE, item.order);
    this.changed();
  },

  // One sender at a time, in every tab.
  send() {
    if (navigator.locks) {
      return navigator.locks.request("yarbel-clips-send", { ifAvailable: true }, (lock) => lock && this.drain());
    }
    this.sending = (this.sending || Promise.resolve()).then(() => this.drain());
    return this.sending;
  },

  async drain() {
    const waiting = (await this.all()).filter((item) => item.state === "waiting" && (item.notBefore || 0) <= Date.now());
    if (waiting.length === 0) {
      return;
    }
    for (const item of waiting) {
      const pass = await queue.pass();
      if (!pass) {
        this.changed();
        return;
      }
      try {
        await this.one(item, { [pass.header]: pass.token });
      } catch (fault) {
        await this.later(item, fault);
      }
      this.now = { order: null, share: 0 };
      this.changed();
    }
  },

  async later(item, fault) {
    const status = fault.status || fault.originalResponse && fault.originalResponse.getStatus() || 0;
    const gone = status === 404 || status === 410;
    if (!item.uploaded && gone && item.url) {
      // the server forgot what it had of it: it goes from the beginning
      await this.change(item, { url: null, notBefore: 0 });
    } else if (meaning(status) === "refused") {
      await this.change(item, { state: "refused", says: fault.says || "", status });
    } else {
      const tries = item.tries + 1;
      await this.change(item, { tries, notBefore: Date.now() + pause(tries), says: fault.says || "", status });
    }
  },

  async one(item, headers) {
    this.now = { order: item.order, share: item.uploaded ? 1 : 0 };
    this.changed();
    if (!item.uploaded) {
      await this.upload(item, headers);
      await this.change(item, { uploaded: true });
    }
    const answer = await fetch(item.url + "/keep", {
      method: "POST", headers, body: new URLSearchParams({ set: item.set }), signal: AbortSignal.timeout(LOOKED_AT)
    });
    if (meaning(answer.status) !== "kept") {
      const said = await answer.json().catch(() => ({}));
      throw Object.assign(new Error("not kept"), { status: answer.status, says: said.says });
    }
    await this.drop(item);
    this.kept(item);
  },

  upload(item, headers) {
    return new Promise((resolve, reject) => {
      const upload = new globalThis.tus.Upload(item.file, {
        endpoint: item.base + "/parts",
        uploadUrl: item.url || null,
        uploadSize: item.file.size,
        chunkSize: PART,
        headers,
        retryDelays: null,
        storeFingerprintForResuming: false,
        // a line that neither answers nor breaks is none
        onBeforeRequest: (request) => {
          request.getUnderlyingObject().timeout = PATIENCE;
        },
        onUploadUrlAvailable: () => {
          const url = new URL(upload.url, location.href).pathname;
          if (item.url !== url) {
            this.change(item, { url });
          }
        },
        onProgress: (sent, all) => {
          this.now = { order: item.order, share: all ? sent / all : 0 };
          this.changed();
        },
        onError: reject,
        onSuccess: resolve
      });
      upload.start();
    });
  }
};

// ---- on the page

function words(place, item) {
  const says = place.dataset;
  if (item.state === "refused") {
    return says.refused + " " + (item.says || "");
  }
  if (clips.now.order === item.order) {
    return says.sending.replace("#", Math.round(100 * clips.now.share));
  }
  if (item.status === 507) {
    return says.noroom;
  }
  return item.uploaded && item.status === 404 ? says.noset : says.waiting;
}

async function show(place) {
  const items = await clips.all();
  place.replaceChildren(...items.map((item) => {
    const line = document.createElement("li");
    line.className = item.state;
    const text = document.createElement("span");
    text.textContent = item.name + ": " + words(place, item);
    const drop = document.createElement("button");
    drop.type = "button";
    drop.className = "textact";
    drop.textContent = place.dataset.drop;
    drop.setAttribute("aria-label", place.dataset.drop + ": " + item.name);
    drop.addEventListener("click", () => clips.drop(item));
    line.append(text, " ", drop);
    return line;
  }));
}

// The set that was logged last on this phone; its clip may be taken before it has reached the server.
async function lastSet() {
  const floor = document.getElementById("floor");
  const day = floor && floor.dataset.planned + "/" + floor.dataset.week;
  const sets = floor ? (await queue.ofDay(day, 0)).filter((item) => (item.kind || "set") === "set" && item.token) : [];
  return sets.sort((one, other) => one.at - other.at).pop() || null;
}

function begin(place) {
  queue.owner = document.body.dataset.account;
  const list = place.querySelector("[data-clips-here]");
  const form = place.querySelector("form[data-clip-set]");
  const say = (words) => {
    list.parentElement.querySelector("[data-clip-says]").textContent = words;
  };
  const take = async (set, file) => {
    if (file.size > Number(list.dataset.most)) {
      say(list.dataset.large);
      return false;
    }
    say("");
    await clips.add(place.dataset.clips, set, file);
    return true;
  };
  clips.changed = () => show(list);
  if (form) {
    clips.kept = () => location.reload();
    form.addEventListener("submit", (event) => {
      const file = form.elements.file.files[0];
      if (file && window.indexedDB) {
        event.preventDefault();
        take(form.dataset.clipSet, file).catch(() => form.submit());
      }
    });
  } else {
    const input = place.querySelector("input[type=file]");
    const of = async () => {
      const set = await lastSet();
      place.hidden = !set && (await clips.all()).length === 0;
      place.querySelector("label").hidden = !set;
      place.querySelector("[data-set-name]").textContent = set ? set.name : "";
      return set;
    };
    input.addEventListener("change", async () => {
      const set = await of();
      if (set && input.files[0]) {
        await take(set.token, input.files[0]).catch(() => say(list.dataset.full));
        input.value = "";
      }
    });
    document.addEventListener("yarbel:queue", () => {
      of();
      clips.send();
    });
    of();
  }
  window.addEventListener("online", () => clips.send());
  window.setInterval(() => clips.send(), 15000);
  show(list);
  clips.send();
}

if (typeof document !== "undefined") {
  const place = document.querySelector("[data-clips]");
  if (place) {
    begin(place);
  }
}
