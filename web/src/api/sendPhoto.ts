import { answer, api, newId } from './client'

/** Keeps a picture with a job, as one of an item or a cloth of it, of before or after the work; its id. */
export async function sendPhoto(job: string, of: string, file: File, moment = ''): Promise<string> {
  const photo = newId()
  await answer(
    api.PUT('/api/jobs/{id}/photos/{photo}', {
      params: { path: { id: job, photo }, query: { item: of, moment } },
      body: file as unknown as string,
      bodySerializer: (body) => body,
      headers: { 'Content-Type': file.type },
    }),
  )
  return photo
}
