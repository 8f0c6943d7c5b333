<svelte:options namespace="svg" />

<script lang="ts">
  /**
   * A stem of a small grain, split lengthwise, drawn upwards from the ground at its foot: wall and
   * hollow, nodes, leaves, and the growing point or the head it becomes.
   */
  let {
    stage,
    x,
    ground,
    point,
  }: {
    stage: string;
    /** Middle of the stem, and the ground, as the drawing counts. */
    x: number;
    ground: number;
    /** How high the growing point or the foot of the head lies. */
    point: number;
  } = $props();

  const ORDER = [
    'leafy',
    'lengthening',
    'jointed',
    'flag_leaf',
    'boot',
    'heading',
    'flowering',
    'milk',
    'soft_dough',
    'hard_dough',
  ];
  const at = $derived(ORDER.indexOf(stage));
  const headed = $derived(at >= 5);
  const top = $derived(ground - point);
  /** How many nodes can be felt below the head. */
  const nodes = $derived(at < 2 ? 0 : at === 2 ? 2 : 3);
  const head = $derived(at < 1 ? 2 : at < 2 ? 3 : at < 3 ? 5 : at === 3 ? 8 : 16);
  const ripe = $derived(at >= 8);
</script>

<g class:ripe>
  <!-- leaves and sheaths -->
  {#if !headed}
    <path class="leaf" d={`M${x} ${ground}Q${x - 2} ${top - 10} ${x - 11} ${top - head - 12}`} />
    <path class="leaf" d={`M${x} ${ground}Q${x + 2} ${top - 12} ${x + 10} ${top - head - 15}`} />
  {/if}
  {#if at >= 3 && at < 8}
    <path class="leaf" d={`M${x} ${top + 2}Q${x + 6} ${top - 8} ${x + 13} ${top - 6}`} />
    <path class="collar" d={`M${x - 3} ${top + 3}h6`} />
  {/if}
  {#if at === 4}<ellipse
      class="sheath"
      cx={x}
      cy={top - head / 2}
      rx="5.5"
      ry={head / 2 + 3}
    />{/if}
  <!-- the stem, hollow between its nodes -->
  {#if at > 0}
    <rect class="wall" x={x - 3} y={top} width="6" height={Math.max(0, ground - top)} />
    {#if point > 5}
      <rect class="hollow" x={x - 1.3} y={top + 3} width="2.6" height={point - 4} />
    {/if}
  {/if}
  {#each { length: nodes }, i (i)}
    <rect
      class="node"
      x={x - 4}
      y={ground - (point * (i + 1)) / (nodes + 1) - 1.5}
      width="8"
      height="3"
    />
  {/each}
  <!-- growing point, then the head -->
  {#if headed}
    {#each { length: 4 }, i (i)}
      {@const y = top - 2 - i * 4}
      <ellipse class="kernel" class:milk={at === 7} cx={x - 2.6} cy={y} rx="2.4" ry="3" />
      <ellipse class="kernel" class:milk={at === 7} cx={x + 2.6} cy={y - 2} rx="2.4" ry="3" />
      {#if at === 6}<path class="anther" d={`M${x - 4} ${y}l-4 3M${x + 4} ${y - 2}l4 3`} />{/if}
    {/each}
  {:else}
    <ellipse class="point" cx={x} cy={top - head / 2} rx={at < 2 ? 1.8 : 2.4} ry={head / 2} />
  {/if}
</g>

<style>
  .leaf {
    fill: none;
    stroke: var(--growing);
    stroke-width: 2;
  }
  .ripe .leaf {
    stroke: var(--standing-dark);
  }
  .collar {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .wall {
    fill: var(--growing-pale);
    stroke: var(--growing-dark);
    stroke-width: 1;
  }
  .ripe .wall {
    fill: #f4e4b2;
    stroke: var(--standing-dark);
  }
  .hollow {
    fill: var(--panel);
  }
  .node {
    fill: var(--growing-dark);
  }
  .ripe .node {
    fill: var(--standing-dark);
  }
  .sheath {
    fill: var(--growing-pale);
    stroke: var(--growing-dark);
  }
  .point {
    fill: var(--panel);
    stroke: var(--ink);
    stroke-width: 1.4;
  }
  .kernel {
    fill: var(--growing);
    stroke: var(--growing-dark);
    stroke-width: 0.8;
  }
  .kernel.milk {
    fill: var(--panel);
  }
  .ripe .kernel {
    fill: var(--standing);
    stroke: var(--standing-dark);
  }
  .anther {
    stroke: var(--standing-dark);
    stroke-width: 1.2;
  }
</style>
