const COPIED = [
  "fill",
  "stroke",
  "stroke-width",
  "stroke-dasharray",
  "stroke-linecap",
  "opacity",
  "fill-opacity",
  "font-family",
  "font-size",
  "font-weight",
  "text-anchor",
  "letter-spacing",
];
const SCALE = 2;

/** Saves a picture of the page as a file, as it looks now. */
export async function savePicture(
  svg: SVGSVGElement,
  { name, ending }: { readonly name: string; readonly ending: "svg" | "png" },
): Promise<void> {
  save(ending === "svg" ? svgBlob(svg) : await pngBlob(svg), `${name}.${ending}`);
}

/** A copy that carries its look with it, without style sheets. */
function standingAlone(svg: SVGSVGElement): SVGSVGElement {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const originals = [svg, ...svg.querySelectorAll<SVGElement>("*")];
  const copies = [copy, ...copy.querySelectorAll<SVGElement>("*")];
  originals.forEach((original, at) => {
    const style = getComputedStyle(original);
    for (const property of COPIED) copies[at]?.style.setProperty(property, style.getPropertyValue(property));
  });
  const { width, height } = svg.getBoundingClientRect();
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  copy.setAttribute("width", String(Math.round(width)));
  copy.setAttribute("height", String(Math.round(height)));
  return copy;
}

function svgBlob(svg: SVGSVGElement): Blob {
  return new Blob([new XMLSerializer().serializeToString(standingAlone(svg))], { type: "image/svg+xml" });
}

async function pngBlob(svg: SVGSVGElement): Promise<Blob> {
  const { width, height } = svg.getBoundingClientRect();
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(new XMLSerializer().serializeToString(standingAlone(svg)))}`;
  await image.decode();
  const canvas = document.createElement("canvas");
  canvas.width = Math.round(width * SCALE);
  canvas.height = Math.round(height * SCALE);
  const context = canvas.getContext("2d");
  if (context === null) throw new Error("no canvas");
  context.fillStyle = getComputedStyle(document.body).backgroundColor;
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob === null ? reject(new Error("no picture")) : resolve(blob)), "image/png"),
  );
}

function save(blob: Blob, name: string): void {
  const address = URL.createObjectURL(blob);
  const link = document.createElement("a");
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}
