package store

import (
	"context"
	"fmt"
)

// AtMost lets the database grow to a number of pages, as if the disk ended there.
func (s *Store) AtMost(ctx context.Context, pages int) error {
	_, err := s.write.ExecContext(ctx, fmt.Sprintf(`PRAGMA max_page_count = %d`, pages))
	return err
}
