import assert from "node:assert/strict";
import { test } from "node:test";
import { page } from "./phone.js";

test("pages kept for somebody else are forgotten on any page, one's own and the files stay", async () => {
  const forgotten = [];
  page.window.caches = globalThis.caches = {
    keys: async () => ["yarbel-files", "yarbel-pages-2-7", "yarbel-pages-2-17", "yarbel-pages-1-3"],
    delete: async (name) => forgotten.push(name)
  };
  document.body.dataset.account = "7";
  document.body.innerHTML = "<main id='main'></main>";
  await import("../js/yarbel.js");
  await new Promise((resolve) => setTimeout(resolve, 5));
  assert.deepEqual(forgotten, ["yarbel-pages-2-17", "yarbel-pages-1-3"]);
});
