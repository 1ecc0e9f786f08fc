import Sortable from 'sortablejs'

/**
 * Rows that can be dragged by their handle; answers the new order by index. The page is drawn anew from the data, so the row that was
 * moved is put back first.
 */
export function useSortableList(list: () => HTMLElement | null, handle: string, moved: (from: number, to: number) => void) {
  let sortable: Sortable | undefined
  watch(
    list,
    (element) => {
      sortable?.destroy()
      sortable = element
        ? Sortable.create(element, {
            handle,
            animation: 120,
            forceFallback: true,
            onEnd: ({ oldIndex, newIndex, item, from }) => {
              if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return
              from.insertBefore(item, from.children[oldIndex + (newIndex < oldIndex ? 1 : 0)] ?? null)
              moved(oldIndex, newIndex)
            },
          })
        : undefined
    },
    { immediate: true, flush: 'post' },
  )
  onScopeDispose(() => sortable?.destroy())
}
