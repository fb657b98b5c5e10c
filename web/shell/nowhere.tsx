import { Link } from 'react-router';

export function Nowhere() {
  return (
    <>
      <h1>Nothing here yet</h1>
      <p>
        The address names no station. <Link to="/shelf">To the shelf</Link>
      </p>
    </>
  );
}
