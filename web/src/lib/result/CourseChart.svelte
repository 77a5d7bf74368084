<script lang="ts">
  import type { CoursePoint, ResponseCourse } from '$lib/api/types';
  import { wallTime } from '$lib/format/dates';
  import { count } from '$lib/format/numbers';
  import { curve, roundTop } from '$lib/response/results';

  interface Props {
    course: ResponseCourse;
    /** What opens the people of a curve's last number. */
    onopen: (did: string) => void;
  }

  let { course, onopen }: Props = $props();

  const WIDTH = 800;
  const HEIGHT = 260;
  const points = $derived(course.points);
  const last = $derived<CoursePoint | undefined>(points.at(-1));
  const top = $derived(roundTop(Math.max(0, ...points.map((p) => p.read))));
  const SIGNS = [
    { key: 'read', name: 'read by a person', stroke: 'stroke-kelp-mid', dash: '', opens: 'READ' },
    {
      key: 'clicked',
      name: 'followed a link',
      stroke: 'stroke-ochre',
      dash: '6 4',
      opens: 'CLICKED'
    },
    { key: 'replied', name: 'replied', stroke: 'stroke-kelp', dash: '', opens: 'REPLIED' }
  ] as const;

  /** Names stand under a few of the points. */
  const named = $derived(Math.max(1, Math.ceil(points.length / 6)));
  function name(at: string): string {
    const [day = '', time = ''] = wallTime(at).split(', ');
    if (course.step === 'DAYS') return day;
    return course.step === 'MINUTES' ? time : wallTime(at);
  }
</script>

<div class="p-3.5">
  {#if last}
    <ul class="mb-3 flex flex-wrap gap-x-5 gap-y-1">
      {#each SIGNS as sign (sign.key)}
        <li class="flex items-center gap-2">
          <svg width="22" height="6" aria-hidden="true">
            <line
              x1="0"
              y1="3"
              x2="22"
              y2="3"
              class={sign.stroke}
              stroke-width="3"
              stroke-dasharray={sign.dash}
            />
          </svg>
          <button
            type="button"
            class="min-h-[26px] hover:underline"
            onclick={() => onopen(sign.opens)}
            ><strong>{count(last[sign.key])}</strong> {sign.name}</button
          >
        </li>
      {/each}
    </ul>
    <div class="grid grid-cols-[2.5rem_minmax(0,1fr)] text-[0.82rem] text-soft">
      <div class="flex flex-col justify-between pe-2 text-right tabular-nums">
        <span>{count(top)}</span><span>{count(top / 2)}</span><span>0</span>
      </div>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        preserveAspectRatio="none"
        class="h-64 w-full"
        role="img"
        aria-label={`Over time: ${SIGNS.map((s) => `${count(last[s.key])} ${s.name}`).join(', ')}`}
      >
        {#each [0, 0.5, 1] as at (at)}
          <line
            x1="0"
            x2={WIDTH}
            y1={HEIGHT * at}
            y2={HEIGHT * at}
            class="stroke-line"
            vector-effect="non-scaling-stroke"
          />
        {/each}
        {#each SIGNS as sign (sign.key)}
          <polyline
            points={curve(points, sign.key, top, WIDTH, HEIGHT)}
            class={sign.stroke}
            fill="none"
            stroke-width="2.5"
            stroke-dasharray={sign.dash}
            stroke-linejoin="round"
            vector-effect="non-scaling-stroke"
          />
        {/each}
      </svg>
      <span></span>
      <div class="mt-1 flex justify-between">
        {#each points as point, i (point.at)}
          {#if i % named === 0}<span>{name(point.at)}</span>{/if}
        {/each}
      </div>
    </div>
  {:else}
    <p class="text-soft">Nothing has come in yet.</p>
  {/if}
</div>
