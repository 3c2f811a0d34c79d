import assert from "node:assert/strict";
import { beforeEach, test } from "node:test";
import { openDB } from "../vendor/idb/index.js";
import { form, sent, server, set } from "./phone.js";
import { pause, queue, verdict, waitsFor } from "../js/queue.js";

const stored = async () => (await openDB("yarbel-floor", 1)).getAll("sets");

let now = Date.now();
Date.now = () => now;

beforeEach(async () => {
  await queue.unsent();
  await (await openDB("yarbel-floor", 1)).clear("sets");
  Object.assign(server, { asked: [], account: "1", cut: false, gate: null, answers: () => ({ status: 200, text: "" }) });
  Object.assign(queue, { owner: "1", trouble: null, changed: () => {}, sent: () => {}, refused: () => false });
});

test("a set is sent once and stays for a day as sent", async () => {
  await queue.add(set("A.1", "100"));
  await queue.send();
  assert.equal(sent().length, 1);
  assert.deepEqual((await stored()).map((item) => item.state), ["sent"]);
  now += 25 * 60 * 60 * 1000;
  await queue.send();
  assert.equal((await stored()).length, 0);
});

test("a set logged again while its first version is on its way goes up as it stands now", async () => {
  let release;
  server.gate = new Promise((resolve) => { release = resolve; });
  const first = queue.add(set("A.1", "100"));
  while (sent().length === 0) {
    await new Promise((resolve) => setTimeout(resolve, 1));
  }
  const second = queue.add(set("A.1", "105"));
  await new Promise((resolve) => setTimeout(resolve, 20));
  server.gate = null;
  release();
  await Promise.all([first, second]);
  assert.deepEqual(sent().map((request) => request.body.load), ["100", "105"]);
  assert.equal(sent()[0].body.token, sent()[1].body.token, "the same set: a correction");
  assert.deepEqual((await stored()).map((item) => [item.state, item.load]), [["sent", "105"]]);
});

test("a set logged again before it went is one set", async () => {
  server.cut = true;
  await queue.add(set("A.1", "100"));
  await queue.add(set("A.1", "102.5"));
  await queue.add(set("A.2", "100"));
  assert.equal(queue.trouble, "away");
  server.cut = false;
  await queue.send();
  assert.deepEqual(sent().map((request) => request.body.load), ["102.5", "100"]);
});

test("what the server will never take goes back into the hand and holds nothing up", async () => {
  for (const status of [400, 403, 404, 409, 413, 422]) {
    await (await openDB("yarbel-floor", 1)).clear("sets");
    server.asked = [];
    server.answers = (address, body) => body.task === "A.1"
      ? { status, text: "<div id='floor'><section class='now'><p class='bad'>no</p></section></div>" }
      : { status: 200 };
    server.cut = true;
    await queue.add(set("A.1", "100"));
    await queue.add(set("A.2", "100"));
    server.cut = false;
    await queue.send();
    assert.deepEqual((await stored()).map((item) => item.state), ["refused", "sent"], String(status));
    assert.equal((await stored())[0].says, "no");
    await queue.send();
    assert.equal(sent().filter((request) => request.body.task === "A.1").length, 1, "not asked again");
  }
});

test("a fault of the server is tried again with growing pauses, and other sets go on", async () => {
  server.answers = (address, body) => ({ status: body.task === "A.1" ? 500 : 200 });
  await queue.add(set("A.1", "100"));
  await queue.add(set("A.2", "100"));
  assert.deepEqual((await stored()).map((item) => item.state), ["waiting", "sent"]);
  const tries = () => sent().filter((request) => request.body.task === "A.1").length;
  assert.equal(tries(), 1, "not before its pause is over");
  now += pause(1) + 1;
  await queue.send();
  assert.equal(tries(), 2);
  now += pause(1) + 1;
  await queue.send();
  assert.equal(tries(), 2, "the second pause is longer");
  server.answers = () => ({ status: 200 });
  now += pause(2);
  await queue.send();
  assert.deepEqual((await stored()).map((item) => item.state), ["sent", "sent"]);
});

test("the end of a session waits for its sets, and another day's does not", async () => {
  server.answers = (address) => ({ status: address === "/sets" ? 500 : 200 });
  await queue.add(set("A.1", "100"));
  await queue.add(form("finish"));
  await queue.add(form("other", { day: "8/1" }));
  assert.deepEqual(sent().map((request) => request.address), ["/sets", "/other"]);
  server.answers = () => ({ status: 200 });
  now += pause(1) + 1;
  await queue.send();
  assert.deepEqual(sent().map((request) => request.address).slice(2), ["/sets", "/finish"]);
});

test("forms go up in the order they were done, after the sets before them", async () => {
  server.cut = true;
  await queue.add(form("before"));
  await queue.add(set("A.1", "100"));
  await queue.add(form("change"));
  await queue.add(set("A.2", "100"));
  await queue.add(form("finish"));
  server.cut = false;
  await queue.send();
  assert.deepEqual(sent().map((request) => request.address), ["/before", "/sets", "/change", "/sets", "/finish"]);
});

test("a form that is refused is in the hand where it can be shown, else it is kept with its reason", async () => {
  server.answers = () => ({ status: 422, text: "<div id='floor'><p class='bad'>how many?</p></div>" });
  queue.refused = () => true;
  await queue.add(form("finish"));
  assert.equal((await stored()).length, 0);
  queue.refused = () => false;
  await queue.add(form("finish"));
  assert.deepEqual((await stored()).map((item) => [item.state, item.says]), [["refused", "how many?"]]);
});

test("a sign-in that ended keeps everything, and so does somebody else's", async () => {
  server.answers = () => ({ status: 401 });
  await queue.add(set("A.1", "100"));
  assert.equal(queue.trouble, "signed-out");
  server.account = "2";
  server.answers = () => ({ status: 200 });
  await queue.send();
  assert.equal(sent().length, 1);
  assert.deepEqual((await stored()).map((item) => item.state), ["waiting"]);
});

test("a server that is away as a whole is asked once, not for each set", async () => {
  server.cut = true;
  await queue.add(set("A.1", "100"));
  await queue.add(set("A.2", "100"));
  server.cut = false;
  server.answers = () => ({ status: 503 });
  await queue.send();
  assert.equal(sent().length, 1);
  assert.equal(queue.trouble, "away");
});

test("an item of before there were revisions is sent and marked as any other", async () => {
  await (await openDB("yarbel-floor", 1)).put("sets", { ...set("A.1", "100"), state: "waiting", owner: "1" });
  await queue.send();
  assert.deepEqual((await stored()).map((item) => item.state), ["sent"]);
});

test("what insists on itself is sent as a correction", async () => {
  server.answers = (address, body) => body.correct === "true" ? { status: 200 } : { status: 422, headers: { "Yarbel-Taken": "yes" } };
  await queue.add(set("A.1", "100"));
  const [refused] = await queue.unsent();
  assert.equal(refused.taken, true);
  await queue.insist(refused);
  assert.deepEqual((await stored()).map((item) => item.state), ["sent"]);
});

test("pauses grow and end at five minutes; only a fault or a crowd is tried again", () => {
  assert.deepEqual([1, 2, 3, 4].map(pause), [5000, 10000, 20000, 40000]);
  assert.equal(pause(50), 300000);
  assert.deepEqual([200, 302, 401, 400, 403, 404, 408, 409, 422, 429, 500, 503].map(verdict),
    ["sent", "sent", "signed-out", "refused", "refused", "refused", "again", "refused", "refused", "again", "again", "again"]);
  assert.equal(waitsFor(set("A.2", "1"), set("A.1", "1")), false);
  assert.equal(waitsFor(form("finish"), set("A.1", "1")), true);
  assert.equal(waitsFor(set("A.2", "1"), form("change")), true);
});
