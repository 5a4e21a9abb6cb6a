import { Button, Upload } from 'antd'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { answer, api, newId } from '../api/client'
import { told } from '../parts/told'

/** Takes a job file in as a new job, and opens it. */
export function OpenFile() {
  const navigate = useNavigate()
  const [problem, setProblem] = useState('')
  const take = async (file: File) => {
    const id = newId()
    try {
      await answer(
        api.POST('/api/job-files', {
          params: { query: { id } },
          body: file as unknown as string,
          bodySerializer: (body) => body,
          headers: { 'Content-Type': 'application/json' },
        }),
      )
      await navigate(`/jobs/${id}/measure`)
    } catch (error) {
      setProblem(`${file.name}: ${told(error)}`)
    }
  }
  return (
    <>
      <Upload
        accept=".json,application/json"
        showUploadList={false}
        customRequest={({ file }) => void take(file as File)}
      >
        <Button>Open a job file</Button>
      </Upload>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
    </>
  )
}
