/** Characters the label font has, by their code points. */
const CHARACTERS =
  " !\"#$%&'()*+,-./0123456789:;<=>?@ABCDEFGHIJKLMNOPQRSTUVWXYZ[\\]^_`abcdefghijklmnopqrstuvwxyz{|}~\u00a0\u00a1\u00a2\u00a3\u00a4\u00a5\u00a6\u00a7\u00a8\u00a9\u00aa\u00ab\u00ac\u00ad\u00ae\u00af\u00b0\u00b1\u00b2\u00b3\u00b4\u00b5\u00b6\u00b7\u00b8\u00b9\u00ba\u00bb\u00bc\u00bd\u00be\u00bf\u00c0\u00c1\u00c2\u00c3\u00c4\u00c5\u00c6\u00c7\u00c8\u00c9\u00ca\u00cb\u00cc\u00cd\u00ce\u00cf\u00d0\u00d1\u00d2\u00d3\u00d4\u00d5\u00d6\u00d7\u00d8\u00d9\u00da\u00db\u00dc\u00dd\u00de\u00df\u00e0\u00e1\u00e2\u00e3\u00e4\u00e5\u00e6\u00e7\u00e8\u00e9\u00ea\u00eb\u00ec\u00ed\u00ee\u00ef\u00f0\u00f1\u00f2\u00f3\u00f4\u00f5\u00f6\u00f7\u00f8\u00f9\u00fa\u00fb\u00fc\u00fd\u00fe\u00ff\u0102\u0131\u0152\u0153\u02bc\u02c6\u02da\u02dc\u0300\u0301\u0303\u0304\u0308\u200b\u2013\u2014\u2018\u2019\u201a\u201c\u201d\u201e\u2022\u2026\u2039\u203a\u2044\u20ac\u2122\u2191\u2193\u2212";

/** How far each of them goes on, in thousandths of the size: as the font files of Sofia Sans 400 and 700 have it. */
const ADVANCES = {
  regular:
    "210 231 325 600 630 942 672 185 270 270 414 600 232 490 232 372 580 454 540 548 542 522 568 529 576 580 232 236 600 600 600 469 1000 560 573 633 641 533 504 653 661 255 265 595 476 769 662 642 545 642 604 568 535 644 584 847 551 535 545 270 372 270 506 540 216 494 536 517 543 519 367 517 556 235 236 491 235 845 556 536 537 541 356 464 385 542 496 716 477 497 464 266 257 266 600 210 231 630 630 630 631 257 481 333 716 394 498 600 490 598 275 391 600 400 400 216 555 616 242 204 400 402 498 882 932 872 465 560 560 560 560 560 560 834 633 533 533 533 533 255 255 255 255 641 662 642 642 642 642 642 600 642 644 644 644 644 535 545 538 494 494 494 494 494 494 778 517 519 519 519 519 235 235 235 235 532 556 536 536 536 536 536 600 536 542 542 542 542 497 537 497 560 235 874 836 153 320 282 320 0 0 0 0 0 10 740 880 232 232 232 387 387 387 297 690 328 328 122 630 828 910 910 600",
  bold: "203 256 376 613 630 945 678 205 278 278 411 600 264 485 264 393 594 480 551 562 570 542 585 548 590 595 260 269 600 600 600 489 994 587 588 643 649 540 516 660 668 267 277 615 487 785 669 651 559 651 613 572 545 651 607 872 577 563 556 280 393 280 523 545 241 504 540 526 546 530 381 520 558 245 246 516 245 840 558 544 540 545 365 471 395 546 513 741 504 512 473 290 261 290 600 203 256 630 630 633 634 261 496 374 706 401 513 600 485 584 293 391 600 435 435 241 556 620 275 226 435 403 514 1001 1045 988 486 587 587 587 587 587 587 847 643 540 540 540 540 267 267 267 267 649 669 651 651 651 651 651 600 651 651 651 651 651 563 559 562 504 504 504 504 504 504 789 526 530 530 530 530 245 245 245 245 534 558 544 544 544 544 544 600 544 546 546 546 546 512 540 512 587 245 884 846 175 329 302 329 0 0 0 0 0 7 737 877 264 264 264 455 455 455 328 775 325 326 165 630 813 907 907 600",
} as const;

const MM_PER_POINT = 25.4 / 72;

/** Of the font, as parts of its size: where a line ends above and below its base line, and how high a capital is. */
export const LABEL_FONT = { ascent: 0.9, descent: 0.3, capital: 0.655, line: 1.2 } as const;

const widths = {
  regular: widthsOf(ADVANCES.regular),
  bold: widthsOf(ADVANCES.bold),
};

function widthsOf(advances: string): ReadonlyMap<string, number> {
  const each = advances.split(" ").map(Number);
  return new Map([...CHARACTERS].map((character, at) => [character, (each[at] ?? 0) / 1000]));
}

/** A size in points as mm: 10 pt are 3.53 mm. */
export function mmOfPoints(points: number): number {
  return points * MM_PER_POINT;
}

/** How wide a line of text is, mm, without kerning; a character the font misses counts as wide as an n. */
export function textWidthMm(text: string, points: number, isBold: boolean): number {
  const of = isBold ? widths.bold : widths.regular;
  const usual = of.get("n") ?? 0.5;
  let ems = 0;
  for (const character of text) ems += of.get(character) ?? usual;
  return ems * mmOfPoints(points);
}

/** Characters of a text that the label font has no shape for, each once. */
export function missingIn(text: string): readonly string[] {
  return [...new Set([...text].filter((character) => !widths.regular.has(character) && character !== "\n"))];
}
