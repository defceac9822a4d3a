import { Matrix } from 'ml-matrix';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { findAnimal } from '@/core/catalogue';
import { layGround } from '@/core/ground';
import {
  chainOf,
  crewHomeOf,
  guessSurvey,
  immature,
  matrixOf,
  placesOf,
  rankPlants,
  runCrew,
  sampleCrew,
  treadOf,
} from '@/core/living';

/**
 * All plants over all places of the largest demo box, and 200 sampled populations over five years; the population against
 * the same days as products of its matrix by ml-matrix in this run.
 */
const ms = (work: () => void, times: number): number => {
  work();
  const taken: number[] = [];
  for (let i = 0; i < times; i += 1) {
    const began = performance.now();
    work();
    taken.push(performance.now() - began);
  }
  return taken.sort((a, b) => a - b)[Math.floor(times / 2)] ?? NaN;
};

const [design] = demoDesigns(catalogue);
if (!design) throw new Error('the demo has no enclosures');
const ground = layGround(design, catalogue);
const survey = guessSurvey(design, ground, catalogue);
const places = placesOf(design, ground, catalogue, survey);
const tread = treadOf(findAnimal(catalogue, design.brief.animal));
const { plants, crew } = catalogue.living;
const rank = ms(() => void rankPlants(plants, places, tread), 21);
const laid = ms(() => void placesOf(design, ground, catalogue, survey), 9);
console.log(
  `Living: ${plants.length} plants over ${places.length} places ranked in ${rank.toFixed(1)} ms (aim 20); the places themselves ${laid.toFixed(1)} ms`,
);

const kind = crew.find((it) => it.id === 'armadillidium-vulgare');
if (!kind) throw new Error('the catalogue lacks a kind of the bench');
const home = crewHomeOf(design, ground, catalogue, survey);
const began = performance.now();
const risk = sampleCrew({ kind, home, start: 30, months: 60 }, 200);
const sampled = performance.now() - began;
console.log(
  `Living: 200 sampled populations over 5 years in ${sampled.toFixed(0)} ms (aim 1000); ${Math.round(risk.collapse * 100)} % died out`,
);

const chain = chainOf(kind);
const matrix = new Matrix(matrixOf(chain));
const days = 1826;
const own = ms(() => void runCrew({ kind, home, start: 30, months: 60 }), 9);
const rival = ms(() => {
  let ages = Matrix.zeros(immature(chain) + 1, 1);
  ages.set(immature(chain), 0, 30);
  for (let day = 0; day < days; day += 1) ages = matrix.mmul(ages);
}, 3);
console.log(
  `Living: one population over ${days} days ${own.toFixed(2)} ms; as products of its ${immature(chain) + 1}² matrix by ml-matrix ${rival.toFixed(0)} ms: ${(rival / own).toFixed(0)} times as long`,
);
