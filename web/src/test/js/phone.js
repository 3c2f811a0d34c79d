// A phone for tests: a page, a store and a line that can be cut, all made of well-known stand-ins.
import "fake-indexeddb/auto";
import { JSDOM } from "jsdom";
import { after } from "node:test";
import assert from "node:assert/strict";

export const page = new JSDOM("<!DOCTYPE html><body><main id='main'></main></body>", { url: "http://localhost/" });
for (const name of ["window", "document", "DOMParser", "HTMLElement", "localStorage", "location", "FormData", "Event", "CustomEvent"]) {
  globalThis[name] = name === "window" ? page.window : page.window[name];
}
Object.defineProperty(globalThis, "navigator", { value: { onLine: true }, configurable: true });
// nothing runs by itself: a test says when
globalThis.setInterval = () => 0;
globalThis.clearInterval = () => {};
// what would come much later keeps no test waiting
const soon = globalThis.setTimeout;
globalThis.setTimeout = (work, delay, ...rest) => {
  const timer = soon(work, delay, ...rest);
  return delay >= 100 ? timer.unref() : timer;
};

// What the server would answer, by the address; each request is written down.
export const server = {
  asked: [],
  // what was asked without a limit to the waiting: such a request may hang for ever
  endless: [],
  account: "1",
  answers: () => ({ status: 200, text: "" }),
  // requests that wait until released
  gate: null
};

after(() => assert.deepEqual(server.endless, []));

globalThis.fetch = async (address, options = {}) => {
  if (!(options.signal instanceof AbortSignal)) {
    server.endless.push(address);
  }
  if (address === "/pass") {
    server.asked.push({ address });
    if (server.cut) {
      throw new TypeError("no line");
    }
    return answer({ status: 200, json: { account: server.account, header: "X-T", token: "t", now: Date.now() } });
  }
  const body = Object.fromEntries(new URLSearchParams(String(options.body || "")));
  server.asked.push({ address, body });
  if (server.gate) {
    await server.gate;
  }
  if (server.cut) {
    throw new TypeError("no line");
  }
  return answer(server.answers(address, body));
};

function answer({ status, text = "", json = null, headers = {} }) {
  return {
    status, ok: status >= 200 && status < 300, redirected: false,
    text: async () => text, json: async () => json, headers: { get: (name) => headers[name] || null }
  };
}

export const sent = () => server.asked.filter((request) => request.address !== "/pass");

export function set(task, load, more = {}) {
  const token = more.token || "token-" + task + "-" + Math.random();
  return {
    token, action: "/sets", body: new URLSearchParams({ token, task, load }).toString(), at: Date.now(), day: "7/1", task, load,
    reps: "5", effort: "8", name: task, ...more
  };
}

export function form(name, more = {}) {
  return {
    kind: "form", token: "form-" + name, action: "/" + name, body: new URLSearchParams({ once: name }).toString(), at: Date.now(),
    day: "7/1", name, ...more
  };
}
