package homalon.app.report;

import org.springframework.data.jpa.repository.JpaRepository;

interface ReleasePaperRepository extends JpaRepository<ReleasePaperRow, ReleasePaperRow.Key> {}
