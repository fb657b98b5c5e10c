import { Table, type TableColumnsType } from 'antd';
import { Link } from 'react-router';
import { formatNumber } from '#base/units';
import type { BottleAnswer } from '#contract/api';
import type { BottleFace, BottleGroup } from '#matter/stock';
import { dayText } from '../parts/day.ts';
import { labelStrength, leftText } from '../parts/face-text.ts';
import { Num } from '../parts/num.tsx';

interface BottleTableProps {
  readonly bottles: readonly BottleAnswer[];
  readonly faces: ReadonlyMap<string, BottleFace>;
  readonly groupNames: Readonly<Record<BottleGroup, string>>;
}

/** The same bottles as a sortable table, for the person with eighty of them. */
export function BottleTable({ bottles, faces, groupNames }: BottleTableProps) {
  const columns: TableColumnsType<BottleAnswer> = [
    {
      title: 'Name',
      dataIndex: ['card', 'name'],
      sorter: (a, b) => a.card.name.localeCompare(b.card.name),
      render: (name: string, { id }) => <Link to={`/shelf/${id}?view=table`}>{name}</Link>,
    },
    { title: 'Is', dataIndex: 'id', key: 'formula', render: (id: string) => faces.get(id)?.formula ?? '' },
    {
      title: 'Label',
      dataIndex: 'id',
      key: 'label',
      align: 'right',
      sorter: (a, b) => (faces.get(a.id)?.strength?.value ?? 0) - (faces.get(b.id)?.strength?.value ?? 0),
      render: (_, { card }) => labelStrength(card),
    },
    {
      title: 'By mass',
      dataIndex: 'id',
      key: 'mass',
      align: 'right',
      render: (id: string) => {
        const w = faces.get(id)?.strength;
        return w ? <Num figure={w} /> : null;
      },
    },
    {
      title: 'Left',
      key: 'left',
      align: 'right',
      sorter: (a, b) => (faces.get(a.id)?.left?.value ?? 0) - (faces.get(b.id)?.left?.value ?? 0),
      render: (_, { id, card }) => leftText(card, faces.get(id)).replace(' left', ''),
    },
    {
      title: 'Moles left',
      key: 'moles',
      align: 'right',
      sorter: (a, b) => (faces.get(a.id)?.moles?.value ?? 0) - (faces.get(b.id)?.moles?.value ?? 0),
      render: (_, { id }) => {
        const moles = faces.get(id)?.moles;
        return moles ? formatNumber(moles.value, 3) : '';
      },
    },
    { title: 'Stands with', key: 'group', render: (_, { card }) => groupNames[card.group] },
    {
      title: 'Since',
      dataIndex: ['card', 'since'],
      sorter: (a, b) => a.card.since.localeCompare(b.card.since),
      render: (since: string) => dayText(since),
    },
  ];
  return (
    <Table
      rowKey="id"
      size="small"
      columns={columns}
      dataSource={[...bottles]}
      scroll={{ x: 'max-content' }}
      pagination={bottles.length > 100 ? { pageSize: 100, showSizeChanger: false } : false}
    />
  );
}
