package homalon.app.shop.tools;

import org.springframework.data.jpa.repository.JpaRepository;

interface BladeRepository extends JpaRepository<BladeRow, Long> {}
