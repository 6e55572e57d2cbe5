import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { givePlants, plantOf, PLANTS } from './plants';

describe('plants beside names', () => {
  test('each has a drawing, each drawing a plant, all in one style and none from elsewhere', () => {
    const files = readdirSync('public/plants').sort();
    expect(files).toEqual(PLANTS.map((p) => `${p}.svg`).sort());
    const drawings = files.map((file) => readFileSync(`public/plants/${file}`, 'utf8'));
    for (const svg of drawings) {
      expect(svg).toContain('viewBox="0 0 48 48"');
      expect(svg).not.toMatch(/<script|href|<image|<text/);
      expect(svg.length).toBeLessThan(3_000);
    }
    expect(new Set(drawings).size).toBe(PLANTS.length);
  });
  test('everyone gets one nobody else has; who has one keeps it; the twenty-fifth child has none', () => {
    const given = givePlants(['carrot', null, 'pea', null]);
    expect(given.filter((p) => p === 'carrot')).toHaveLength(1);
    expect([given[0], given[2]]).toEqual(['carrot', 'pea']);
    expect(new Set(given).size).toBe(4);
    const many = givePlants(Array.from({ length: 26 }, () => null));
    expect(new Set(many.slice(0, 24)).size).toBe(24);
    expect(many.slice(24)).toEqual([null, null]);
  });
  test('what is kept is read as a plant only where it is one', () => {
    expect(plantOf('leek')).toBe('leek');
    expect(plantOf('rose')).toBeNull();
    expect(plantOf(null)).toBeNull();
    expect(existsSync('public/plants/rose.svg')).toBe(false);
  });
});
