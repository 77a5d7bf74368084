<script lang="ts">
  import { fieldsQuery } from '$lib/api/queries';
  import type { LabelDesign, PrintRunBody } from '$lib/api/types';
  import LateEditor from '$lib/editor/LateEditor.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { Select } from 'flowbite-svelte';
  import Length from './Length.svelte';
  import SheetChoice from './SheetChoice.svelte';

  interface Props {
    body: PrintRunBody;
    editable: boolean;
    errors: string[];
    onchange: (change: Partial<PrintRunBody>) => void;
  }

  let { body, editable, errors, onchange }: Props = $props();

  const fields = createQuery(fieldsQuery);
  const design = $derived(body.design);

  function redesign(change: Partial<LabelDesign>) {
    onchange({ design: { ...design, ...change } });
  }

  const number = (event: Event) => Number((event.currentTarget as HTMLInputElement).value);
  const field = 'mb-0.5 block text-[0.87rem] text-soft';
  const box = 'w-full rounded-lg border border-line bg-card px-2.5 py-1.5';
</script>

<fieldset class="flex min-w-0 flex-col gap-3" disabled={!editable}>
  <SheetChoice sheet={design.sheet} {editable} onchoose={(sheet) => redesign({ sheet })} />
  <div>
    <p class={field}>What stands on each label</p>
    <div class="flex min-h-28 flex-col rounded-lg border border-line bg-card">
      {#if fields.data}
        <LateEditor
          value={design.lines}
          fields={fields.data.merge}
          label="Lines of the label"
          lines
          readonly={!editable}
          onchange={(lines) => redesign({ lines })}
        />
      {/if}
    </div>
    {#each errors as error (error)}<p class="text-brick" role="alert">{error}</p>{/each}
    <p class="text-[0.8rem] text-soft">Lines without anything in them close up.</p>
  </div>
  <div class="grid grid-cols-2 gap-x-3 gap-y-2">
    <label>
      <span class={field}>Letters</span>
      <Select
        placeholder=""
        items={[
          { value: 'SANS', name: 'Plain' },
          { value: 'SERIF', name: 'With serifs' }
        ]}
        value={design.face}
        onchange={(e) => redesign({ face: e.currentTarget.value as LabelDesign['face'] })}
      />
    </label>
    <label>
      <span class={field}>Size in points</span>
      <input
        type="number"
        min="7"
        max="72"
        step="0.5"
        class={box}
        value={design.points}
        onchange={(e) => redesign({ points: number(e) })}
      />
    </label>
    <label>
      <span class={field}>Lines stand</span>
      <Select
        placeholder=""
        items={[
          { value: 'START', name: 'at the start' },
          { value: 'CENTRE', name: 'in the middle' },
          { value: 'END', name: 'at the end' }
        ]}
        value={design.align}
        onchange={(e) => redesign({ align: e.currentTarget.value as LabelDesign['align'] })}
      />
    </label>
    <label>
      <span class={field}>In order of</span>
      <Select
        placeholder=""
        items={[
          { value: 'POSTCODE', name: 'postcode' },
          { value: 'NAME', name: 'name' }
        ]}
        value={design.order}
        onchange={(e) => redesign({ order: e.currentTarget.value as LabelDesign['order'] })}
      />
    </label>
    <label>
      <span class={field}>Copies of each</span>
      <input
        type="number"
        min="1"
        max="1000"
        class={box}
        value={body.copies}
        onchange={(e) => onchange({ copies: Math.round(number(e)) })}
      />
    </label>
    <Length
      label="Left free inside"
      value={design.margin}
      onchange={(margin) => redesign({ margin })}
    />
    <Length
      label="Move right by"
      value={body.offsetAcross}
      onchange={(offsetAcross) => onchange({ offsetAcross })}
    />
    <Length
      label="Move down by"
      value={body.offsetDown}
      onchange={(offsetDown) => onchange({ offsetDown })}
    />
  </div>
</fieldset>
