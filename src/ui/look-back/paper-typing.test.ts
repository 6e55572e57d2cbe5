import { describe, expect, test } from 'vitest';
import { asLines, asText, goToBox, mark, markedIn, press, typingOf, type Typing } from './paper-typing';

/** Two rounds: two lines of three boxes; a line of three and a shorter one. */
const WIDTHS = [
  [3, 3],
  [3, 1],
];
const typed = (keys: readonly string[], from = typingOf(WIDTHS)): Typing =>
  keys.reduce((now, key) => press(now, key) ?? now, from);

describe('typing in a grid', () => {
  test('a mark goes to the next box, over the end of a line and of a round', () => {
    const now = typed([...'123412']);
    expect(asLines(now, WIDTHS)).toEqual([
      ['123', '412'],
      ['   ', ' '],
    ]);
    expect(now.boxes[now.at]).toEqual({ round: 1, row: 0, at: 0 });
  });
  test('a space leaves a box empty, Enter the rest of a line', () => {
    expect(asLines(typed(['1', ' ', '3', '2', 'Enter', '5']), WIDTHS)).toEqual([
      ['1 3', '2  '],
      ['5  ', ' '],
    ]);
  });
  test('Backspace takes back the last mark, Delete the one here', () => {
    expect(asText(typed([...'12', 'Backspace']))).toBe('1         ');
    expect(asText(typed([...'12', 'ArrowLeft', 'Delete']))).toBe('1         ');
    expect(asText(typed([...'12', 'ArrowLeft', 'ArrowLeft', 'Backspace']))).toBe(' 2        ');
  });
  test('up and down keep to the column, and to the end of a shorter line', () => {
    const end = goToBox(typingOf(WIDTHS), 8);
    expect(typed(['ArrowUp'], end).at).toBe(5);
    expect(typed(['ArrowDown'], end).at).toBe(9);
    expect(typed(['ArrowDown', 'ArrowDown'], end).at).toBe(9);
    expect(typed(['ArrowUp']).at).toBe(0);
  });
  test('nothing leads out of the grid, and other keys mean nothing', () => {
    expect(typed(['ArrowLeft', 'ArrowUp', 'Backspace']).at).toBe(0);
    expect(typed(['ArrowRight', 'Enter', ' '], goToBox(typingOf(WIDTHS), 9)).at).toBe(9);
    for (const key of ['6', '0', 'a', 'Tab', 'toString', 'constructor'])
      expect(press(typingOf(WIDTHS), key)).toBeNull();
  });
  test('what was typed before comes back, and what does not fit is left out', () => {
    expect(asText(typingOf(WIDTHS, asText(typed([...'12 4 5']))))).toBe('12 4 5    ');
    expect(asText(typingOf(WIDTHS, 'x1 9      '))).toBe(' 1        ');
    expect(markedIn(mark(typingOf(WIDTHS, '12        '), '3'))).toBe(2);
  });
  test('what was typed on a paper with other lines slides into nobody’s line', () => {
    expect(markedIn(typingOf([[3, 3]], asText(typed([...'123412']))))).toBe(0);
    expect(markedIn(typingOf([...WIDTHS, [3]], asText(typed([...'123412']))))).toBe(0);
  });
});
