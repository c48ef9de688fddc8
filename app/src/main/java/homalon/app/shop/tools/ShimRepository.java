package homalon.app.shop.tools;

import org.springframework.data.jpa.repository.JpaRepository;

interface ShimRepository extends JpaRepository<ShimRow, Long> {}
