import { Table, type TableColumnsType } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { formatFigure } from '#base/units';
import type { BatchSummary } from '#contract/api';
import { sentenceOf } from '../api/client.ts';
import { useBatches } from '../api/queries.ts';
import { dayText } from '../parts/day.ts';
import './record.css';

const STATUS: Readonly<Record<BatchSummary['status'], string>> = {
  planned: 'planned',
  running: 'on the bench',
  done: 'finished',
  abandoned: 'abandoned',
};

/** More than this many columns are not read side by side. */
const MOST = 6;

/** Every batch, newest first. */
export function RecordList() {
  const batches = useBatches();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  if (batches.isLoadingError) return <p className="problem">{sentenceOf(batches.error)}</p>;
  const columns: TableColumnsType<BatchSummary> = [
    { title: 'No.', dataIndex: 'number', align: 'right', width: 56, sorter: (a, b) => a.number - b.number },
    {
      title: 'Batch',
      dataIndex: 'title',
      sorter: (a, b) => a.title.localeCompare(b.title),
      render: (title: string, { id, lesson }) => (
        <div className="record-title">
          <Link to={`/record/${id}`}>{title}</Link>
          {lesson ? <div className="quiet small">{lesson}</div> : null}
        </div>
      ),
    },
    { title: 'Got', dataIndex: 'got', align: 'right' },
    {
      title: 'Yield, %',
      key: 'yield',
      align: 'right',
      sorter: (a, b) => (a.yieldPct?.value ?? -1) - (b.yieldPct?.value ?? -1),
      render: (_, { yieldPct }) =>
        yieldPct ? (
          <span className={yieldPct.value > 100 ? 'watch' : ''}>
            {formatFigure(yieldPct.value, yieldPct.band / 2)}
            {yieldPct.value > 100 ? ' over' : ''}
          </span>
        ) : (
          ''
        ),
    },
    {
      title: 'Is',
      dataIndex: 'status',
      filters: Object.entries(STATUS).map(([value, text]) => ({ value, text })),
      onFilter: (value, { status }) => status === value,
      render: (status: BatchSummary['status']) => STATUS[status],
    },
    {
      title: 'Begun',
      dataIndex: 'startedAt',
      sorter: (a, b) => (a.startedAt ?? '').localeCompare(b.startedAt ?? ''),
      render: (at: string | null) => (at ? dayText(at) : ''),
    },
  ];
  return (
    <>
      <h1 style={{ marginBottom: 10 }}>Record</h1>
      <p className="quiet" style={{ minHeight: 24 }}>
        {chosen.length < 2 ? (
          'Tick two or more batches to set them side by side. '
        ) : (
          <Link to={`/record/compare?batches=${chosen.join(',')}`}>Set {chosen.length} batches side by side</Link>
        )}{' '}
        <a href="/api/export/record.csv" download style={{ textDecoration: 'underline' }}>
          As a table, CSV
        </a>
      </p>
      <Table
        rowKey="id"
        size="small"
        rowSelection={{
          selectedRowKeys: [...chosen],
          hideSelectAll: true,
          columnTitle: <span className="sr">side by side</span>,
          onChange: (keys) => setChosen(keys.map(String)),
          getCheckboxProps: ({ id, number, title }) => ({
            'aria-label': `batch ${number}, ${title}, side by side`,
            disabled: chosen.length >= MOST && !chosen.includes(id),
          }),
        }}
        loading={batches.isPending}
        columns={columns}
        dataSource={batches.data ?? []}
        scroll={{ x: 'max-content' }}
        pagination={(batches.data?.length ?? 0) > 25 ? { pageSize: 25, showSizeChanger: false } : false}
        locale={{ emptyText: 'No batch yet: plan one, and it is recorded as it runs.' }}
      />
    </>
  );
}
