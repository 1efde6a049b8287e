<script lang="ts">
  import { Dialog } from "bits-ui";
  import type { Snippet } from "svelte";

  let {
    open = $bindable(false),
    title,
    says = "",
    wide = false,
    children,
  }: {
    open?: boolean;
    title: string;
    says?: string;
    wide?: boolean;
    children: Snippet;
  } = $props();
  let inside = $state<HTMLElement | null>(null);

  /** The field that is to be filled in first has the focus. */
  function begin(event: Event): void {
    const first = inside?.querySelector<HTMLElement>("[data-first]");
    if (!first) return;
    event.preventDefault();
    first.focus();
  }
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-[#0a0f0dB0]" />
    <Dialog.Content
      bind:ref={inside}
      onOpenAutoFocus={begin}
      class="bg-paper border-ink fixed top-1/2 left-1/2 z-50 max-h-[92dvh] {wide
        ? 'w-[min(46rem,94vw)]'
        : 'w-[min(34rem,94vw)]'} -translate-x-1/2 -translate-y-1/2 overflow-auto border-2"
    >
      <div class="ticks h-2.5" aria-hidden="true"></div>
      <div class="grows px-5 pt-3 pb-5">
        <div class="flex items-start justify-between gap-4">
          <Dialog.Title class="text-xl font-semibold">{title}</Dialog.Title>
          <Dialog.Close
            class="hover:border-rule -mt-1 -mr-2 min-h-11 min-w-11 border border-transparent"
            aria-label="Close"
          >
            <svg viewBox="0 0 20 20" class="mx-auto h-5 w-5" aria-hidden="true">
              <path d="M4 4l12 12M16 4L4 16" stroke="currentColor" stroke-width="1.8" />
            </svg>
          </Dialog.Close>
        </div>
        {#if says}<Dialog.Description class="text-soft mb-4">{says}</Dialog.Description>{/if}
        {@render children()}
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
