// Drawings leave as SVG and PNG: what is seen, with the colours and fonts in it, so that it looks so anywhere.
(() => {
  'use strict';

  const STYLES = [
    'fill', 'fill-opacity', 'stroke', 'stroke-width', 'stroke-dasharray', 'stroke-linecap', 'stroke-opacity', 'opacity',
    'font-family', 'font-size', 'font-weight', 'text-anchor', 'dominant-baseline',
  ];
  /** Dots of a picture for each unit of the drawing. */
  const SHARP = 3;

  /** Room around what would else touch the edge. */
  const EDGE = 4;

  /** What is drawn, be it beyond the frame, where a page shows it and a file would not. */
  function size(svg) {
    const frame = svg.viewBox.baseVal;
    const drawn = svg.getBBox();
    const x = Math.min(frame.x, drawn.x - EDGE);
    const y = Math.min(frame.y, drawn.y - EDGE);
    return {
      x,
      y,
      width: Math.ceil(Math.max(frame.x + frame.width, drawn.x + drawn.width + EDGE) - x),
      height: Math.ceil(Math.max(frame.y + frame.height, drawn.y + drawn.height + EDGE) - y),
    };
  }

  /** The fonts that texts here may have, within the file: where it is opened nobody has them. */
  async function fonts(svg) {
    const used = new Set([...svg.querySelectorAll('text')].map((text) => {
      const style = getComputedStyle(text);
      return `${style.fontFamily.split(',')[0].replace(/["']/g, '')} ${style.fontWeight}`;
    }));
    const far = /[\u0100-\u02ba]/.test(svg.textContent);
    const faces = [...document.styleSheets]
      .flatMap((sheet) => [...sheet.cssRules].map((rule) => ({ rule, base: sheet.href })))
      .filter(({ rule }) => rule instanceof CSSFontFaceRule)
      .filter(({ rule }) => far || !/latin-ext/.test(rule.style.getPropertyValue('src')))
      .filter(({ rule }) => used.has(
        `${rule.style.getPropertyValue('font-family').replace(/["']/g, '')} ${rule.style.getPropertyValue('font-weight')}`));
    const within = await Promise.all(faces.map(async ({ rule, base }) => {
      const [, file] = /url\(["']?([^"')]+)/.exec(rule.style.getPropertyValue('src'));
      const bytes = new Uint8Array(await (await fetch(new URL(file, base))).arrayBuffer());
      const text = btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
      return `@font-face { font-family: ${rule.style.getPropertyValue('font-family')}; `
        + `font-weight: ${rule.style.getPropertyValue('font-weight')}; `
        + `unicode-range: ${rule.style.getPropertyValue('unicode-range') || 'U+0-10FFFF'}; src: url(data:font/woff2;base64,${text}); }`;
    }));
    return within.join('\n');
  }

  /** The paper beneath a drawing: the first ground that is not seen through. */
  function ground(element) {
    for (let at = element; at; at = at.parentElement) {
      const colour = getComputedStyle(at).backgroundColor;
      if (colour !== 'transparent' && !/, 0\)$/.test(colour)) {
        return colour;
      }
    }
    return 'white';
  }

  async function standsAlone(svg) {
    const copy = svg.cloneNode(true);
    const seen = svg.querySelectorAll('*');
    [...copy.querySelectorAll('*')].forEach((element, at) => {
      const style = getComputedStyle(seen[at]);
      if (style.display === 'none' || style.visibility === 'hidden') {
        element.setAttribute('display', 'none');
      }
      STYLES.forEach((name) => element.setAttribute(name, style.getPropertyValue(name)));
      // a link or a handle of the page leads nowhere from a file
      [...element.attributes].filter((one) => /^(data-|hx-|tabindex|class|href|role)/.test(one.name)).forEach((one) => {
        if (!one.value.startsWith('#')) {
          element.removeAttribute(one.name);
        }
      });
    });
    const box = size(svg);
    const paper = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
    Object.entries({ x: box.x, y: box.y, width: box.width, height: box.height, fill: ground(svg) })
      .forEach(([name, value]) => paper.setAttribute(name, value));
    copy.prepend(paper);
    const faces = document.createElementNS('http://www.w3.org/2000/svg', 'style');
    faces.textContent = await fonts(svg);
    copy.prepend(faces);
    const told = svg.getAttribute('aria-label');
    if (told) {
      const title = document.createElementNS('http://www.w3.org/2000/svg', 'title');
      title.textContent = told;
      copy.prepend(title);
    }
    [...copy.attributes].filter((one) => /^(data-|hx-|class|id|style)/.test(one.name))
      .forEach((one) => copy.removeAttribute(one.name));
    copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
    copy.setAttribute('viewBox', `${box.x} ${box.y} ${box.width} ${box.height}`);
    copy.setAttribute('width', box.width);
    copy.setAttribute('height', box.height);
    return new XMLSerializer().serializeToString(copy);
  }

  async function address(svg) {
    return `data:image/svg+xml;charset=utf-8,${encodeURIComponent(await standsAlone(svg))}`;
  }

  async function png(drawing) {
    const canvas = document.createElement('canvas');
    if (drawing instanceof HTMLCanvasElement) {
      canvas.width = drawing.width;
      canvas.height = drawing.height;
      paint(canvas, drawing, ground(drawing));
    } else {
      const picture = new Image();
      picture.src = await address(drawing);
      await picture.decode();
      canvas.width = Math.round(size(drawing).width * SHARP);
      canvas.height = Math.round(size(drawing).height * SHARP);
      paint(canvas, picture, ground(drawing));
    }
    return canvas.toDataURL('image/png');
  }

  function paint(canvas, picture, colour) {
    const brush = canvas.getContext('2d');
    brush.fillStyle = colour;
    brush.fillRect(0, 0, canvas.width, canvas.height);
    brush.drawImage(picture, 0, 0, canvas.width, canvas.height);
  }

  function save(href, name) {
    const link = document.createElement('a');
    link.href = href;
    link.download = name;
    link.click();
  }

  function offer(root) {
    const form = document.getElementById('drawing-out');
    if (!form) {
      return;
    }
    root.querySelectorAll('[data-drawing]:not([data-offered])').forEach((place) => {
      place.dataset.offered = 'yes';
      const isSvg = place instanceof SVGElement;
      const buttons = form.content.cloneNode(true);
      buttons.querySelectorAll('button').forEach((button) => {
        const as = button.dataset.as;
        if (as === 'svg' && !isSvg) {
          button.remove();
          return;
        }
        button.addEventListener('click', async () => {
          const drawing = isSvg ? place : place.querySelector('canvas');
          save(as === 'svg' ? await address(drawing) : await png(drawing), `${place.dataset.drawing}.${as}`);
        });
      });
      place.after(buttons);
    });
  }

  offer(document);
  document.addEventListener('htmx:afterSettle', () => offer(document));
})();
