UPDATE `resins` SET `sheet` = json_object(
  'family', 'general',
  'quotes', (
    SELECT json_group_array(json(`quote`)) FROM (
      SELECT json_object('property','linearShrink','value',`resins`.`linear_shrink`,'condition','cured','source','own') AS `quote` WHERE `resins`.`linear_shrink` IS NOT NULL
      UNION ALL SELECT json_object('property','flexuralModulus_MPa','value',`resins`.`modulus_m_pa`,'condition','cured','source','own') AS `quote` WHERE `resins`.`modulus_m_pa` IS NOT NULL
      UNION ALL SELECT json_object('property','flexuralStrength_MPa','value',`resins`.`strength_m_pa`,'condition','cured','source','own') AS `quote` WHERE `resins`.`strength_m_pa` IS NOT NULL
      UNION ALL SELECT json_object('property','elongation','value',`resins`.`break_strain`,'condition','cured','source','own') AS `quote` WHERE `resins`.`break_strain` IS NOT NULL
    )
  ),
  'cautions', json_array()
);
--> statement-breakpoint
ALTER TABLE `resins` DROP COLUMN `linear_shrink`;--> statement-breakpoint
ALTER TABLE `resins` DROP COLUMN `modulus_m_pa`;--> statement-breakpoint
ALTER TABLE `resins` DROP COLUMN `strength_m_pa`;--> statement-breakpoint
ALTER TABLE `resins` DROP COLUMN `break_strain`;