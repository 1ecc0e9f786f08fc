/** What the turner has to say of the pen that is open, and pictures of it as it is now. */
export function useRemark() {
  const store = usePen()
  const photos = usePhotos()
  const step = () => store.state?.next?.id ?? null
  const remark = (text: string) => void store.enter({ kind: 'remark', payload: { text, step: step() } })
  async function picture(file: File, text = '') {
    store.enter({ kind: 'remark', payload: { text: text.trim() || 'A picture', step: step(), photo: await photos.keep(file) } })
  }
  return { remark, picture }
}
