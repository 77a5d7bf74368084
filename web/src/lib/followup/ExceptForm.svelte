<script lang="ts">
  import { partChoices } from '$lib/audience/partChoices.svelte';
  import type { AudiencePart, ShownPart, FollowRuleBody } from '$lib/api/types';
  import AddPart from '$lib/audience/AddPart.svelte';
  import PartList from '$lib/audience/PartList.svelte';

  interface Props {
    except: AudiencePart[];
    /** The same in words, as far as the server has them. */
    words: ShownPart[];
    onchange: (part: Partial<FollowRuleBody>) => void;
  }

  let { except, words, onchange }: Props = $props();

  const choices = partChoices(() => true);
  const parts = $derived(
    except.map((part) => ({
      ...part,
      words: part.name ?? words.find((w) => w.filter === part.filter)?.words ?? 'a filter'
    }))
  );
</script>

<section aria-label="Except">
  {#if parts.length}<p class="font-semibold">Except whoever is in any of these</p>{/if}
  <PartList
    {parts}
    onremove={(gone) => onchange({ except: except.filter((p) => p.filter !== gone.filter) })}
  />
  <AddPart
    label="Except a filter or a list"
    choices={choices.all}
    onadd={(name, filter) => onchange({ except: [...except, { name, filter }] })}
  />
</section>
