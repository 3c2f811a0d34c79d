// Finds a plate in picture after picture: where it looks most like what was marked (normalised correlation, by OpenCV).
"use strict";
/* global importScripts, cv */
importScripts("../vendor/opencv/opencv.js");

// what lies within the rim alone: a square that fits into it
const WITHIN = 0.7;
// how far it may have gone since the picture before, in its own widths; where it was lost, it is looked for further and further away
const NEAR = 0.35;
const FURTHER = 0.1;
const FAR = 2;
const ALIKE = 0.6;

// in a worker the library is a function that makes it; it offers itself as a promise of itself, for which nobody can wait
const library = new Promise((resolve) => {
  const loaded = typeof self.cv === "function" ? self.cv() : self.cv;
  const done = () => {
    delete loaded.then;
    resolve(loaded);
  };
  if (loaded.Mat) {
    done();
  } else {
    loaded.onRuntimeInitialized = done;
  }
});

let plate = null;

function grey(cv, image) {
  const colour = cv.matFromImageData(image);
  const picture = new cv.Mat();
  cv.cvtColor(colour, picture, cv.COLOR_RGBA2GRAY);
  colour.delete();
  return picture;
}

// A part of a picture whose middle is at x and y, as far as it lies within.
function part(picture, x, y, half) {
  const left = Math.max(0, Math.round(x - half));
  const top = Math.max(0, Math.round(y - half));
  const right = Math.min(picture.cols, Math.round(x + half));
  const bottom = Math.min(picture.rows, Math.round(y + half));
  return { x: left, y: top, width: right - left, height: bottom - top };
}

// Between whole pixels the top of a parabola through three of them.
function between(before, here, after) {
  const bend = before - 2 * here + after;
  return bend >= 0 ? 0 : Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend)));
}

function begin(cv, picture, rim) {
  const square = part(picture, rim.x, rim.y, rim.width * WITHIN / 2);
  if (square.width < 6 || square.height < 6) {
    throw new Error("rim");
  }
  const seen = picture.roi(square);
  plate = {
    looks: seen.clone(), width: rim.width, x: rim.x, y: rim.y, fromX: rim.x - square.x, fromY: rim.y - square.y, lost: 0, dx: 0, dy: 0
  };
  seen.delete();
}

function look(cv, picture) {
  const reach = plate.width * Math.min(FAR, NEAR + FURTHER * plate.lost);
  const x = plate.x + plate.dx;
  const y = plate.y + plate.dy;
  const left = Math.max(0, Math.floor(x - plate.fromX - reach));
  const top = Math.max(0, Math.floor(y - plate.fromY - reach));
  const right = Math.min(picture.cols, Math.ceil(x - plate.fromX + plate.looks.cols + reach));
  const bottom = Math.min(picture.rows, Math.ceil(y - plate.fromY + plate.looks.rows + reach));
  if (right - left < plate.looks.cols || bottom - top < plate.looks.rows) {
    plate.lost++;
    return 0;
  }
  const around = picture.roi({ x: left, y: top, width: right - left, height: bottom - top });
  const alike = new cv.Mat();
  cv.matchTemplate(around, plate.looks, alike, cv.TM_CCOEFF_NORMED);
  const best = cv.minMaxLoc(alike);
  const value = (column, row) => alike.floatAt(row, column);
  const { x: column, y: row } = best.maxLoc;
  const likeness = Math.max(0, Math.min(1, best.maxVal));
  if (likeness >= ALIKE) {
    const subX = column > 0 && column < alike.cols - 1
      ? between(value(column - 1, row), best.maxVal, value(column + 1, row)) : 0;
    const subY = row > 0 && row < alike.rows - 1
      ? between(value(column, row - 1), best.maxVal, value(column, row + 1)) : 0;
    const newX = left + column + subX + plate.fromX;
    const newY = top + row + subY + plate.fromY;
    plate.dx = plate.lost === 0 ? newX - plate.x : 0;
    plate.dy = plate.lost === 0 ? newY - plate.y : 0;
    plate.x = newX;
    plate.y = newY;
    plate.lost = 0;
  } else {
    plate.lost++;
    plate.dx = 0;
    plate.dy = 0;
  }
  around.delete();
  alike.delete();
  return likeness;
}

self.onmessage = async (event) => {
  const { type, millis, image, rim } = event.data;
  try {
    const cv = await library;
    const picture = grey(cv, image);
    let likeness = 1;
    if (type === "begin") {
      begin(cv, picture, rim);
    } else {
      likeness = look(cv, picture);
    }
    picture.delete();
    self.postMessage({ millis, x: plate.x, y: plate.y, likeness });
  } catch (fault) {
    self.postMessage({ millis, failed: String(fault && fault.message || fault) });
  }
};
