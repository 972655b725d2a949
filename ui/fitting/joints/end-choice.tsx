'use client';

import { useState } from 'react';
import { END_FAMILIES, type End, type FamilyName, familyOf, type Gender, sizeInWords } from '@/core/piping/ends';
import { ThreadFinder } from './thread-finder';

/** What is on the thing in hand: family, size and half; or what is typical of it. */
export function EndChoice({
  label,
  end,
  said,
  onEnd,
}: {
  label: string;
  end: End;
  said: boolean;
  onEnd: (end: End | undefined) => void;
}) {
  const [measuring, setMeasuring] = useState(false);
  const { sizes, genders } = familyOf(end.family);
  const halves = Object.entries(genders) as [Gender, string][];
  const family = (name: FamilyName): void => {
    const to = familyOf(name);
    const size = to.sizes.includes(end.size) ? end.size : (to.sizes[Math.min(3, to.sizes.length - 1)] as string);
    const gender = to.genders[end.gender] ? end.gender : (Object.keys(to.genders)[0] as Gender);
    onEnd({ family: name, size, gender });
  };
  return (
    <fieldset className="grid gap-1">
      <legend className="mb-1 font-medium text-[0.88rem]">
        {label}{' '}
        <span className="font-normal text-quiet">{said ? 'as you said' : 'typical: look at the thing in hand'}</span>
      </legend>
      <div className="flex flex-wrap gap-2">
        <select
          className="control w-44"
          aria-label={`${label}: family`}
          value={end.family}
          onChange={(e) => family(e.target.value as FamilyName)}
        >
          {Object.entries(END_FAMILIES).map(([name, f]) => (
            <option key={name} value={name}>
              {f.label}
            </option>
          ))}
        </select>
        <select
          className="control w-28"
          aria-label={`${label}: size`}
          value={end.size}
          onChange={(e) => onEnd({ ...end, size: e.target.value })}
        >
          {sizes.map((s) => (
            <option key={s} value={s}>
              {sizeInWords(s)}
            </option>
          ))}
        </select>
        {halves.length > 1 && (
          <select
            className="control w-44"
            aria-label={`${label}: half`}
            value={end.gender}
            onChange={(e) => onEnd({ ...end, gender: e.target.value as Gender })}
          >
            {halves.map(([gender, name]) => (
              <option key={gender} value={gender}>
                {name}
              </option>
            ))}
          </select>
        )}
        {said && (
          <button type="button" className="button" onClick={() => onEnd(undefined)}>
            Typical again
          </button>
        )}
        <button type="button" className="button" aria-expanded={measuring} onClick={() => setMeasuring(!measuring)}>
          Find it by measuring
        </button>
      </div>
      {measuring && (
        <ThreadFinder
          onEnd={(found) => {
            onEnd(found);
            setMeasuring(false);
          }}
        />
      )}
    </fieldset>
  );
}
