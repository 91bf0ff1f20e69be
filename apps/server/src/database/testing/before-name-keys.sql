CREATE TABLE public.books (
    id uuid NOT NULL,
    revision integer NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT books_revision_check CHECK ((revision >= 0))
);
CREATE TABLE public.journal (
    book_id uuid NOT NULL,
    revision integer NOT NULL,
    change_id uuid NOT NULL,
    user_id uuid NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL,
    undoes uuid,
    format integer NOT NULL,
    digest text NOT NULL,
    writes jsonb NOT NULL
);
CREATE TABLE public.kept_snapshots (
    book_id uuid NOT NULL,
    revision integer NOT NULL,
    layout text NOT NULL,
    packed bytea NOT NULL
);
ALTER TABLE ONLY public.kept_snapshots ALTER COLUMN packed SET STORAGE EXTERNAL;
CREATE TABLE public.members (
    book_id uuid NOT NULL,
    user_id uuid NOT NULL,
    role text NOT NULL,
    CONSTRAINT members_role_check CHECK ((role = ANY (ARRAY['owner'::text, 'editor'::text, 'reader'::text])))
);
CREATE TABLE public.migrations (
    id integer NOT NULL,
    "timestamp" bigint NOT NULL,
    name character varying NOT NULL
);
CREATE SEQUENCE public.migrations_id_seq
    AS integer
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.migrations_id_seq OWNED BY public.migrations.id;
CREATE TABLE public.row_bill_line (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    product_id uuid NOT NULL,
    "position" integer NOT NULL,
    material_id uuid,
    component_id uuid,
    quantity numeric,
    unit text NOT NULL,
    basis text NOT NULL,
    loss_percent numeric NOT NULL,
    text text DEFAULT ''::text NOT NULL,
    loss_basis text DEFAULT 'of the input'::text NOT NULL,
    CONSTRAINT row_bill_line_check1 CHECK ((component_id <> product_id)),
    CONSTRAINT row_bill_line_loss_percent_check CHECK (((loss_percent >= (0)::numeric) AND ((loss_percent < (100)::numeric) OR (loss_basis = 'on top'::text)))),
    CONSTRAINT row_bill_line_one_item CHECK ((num_nonnulls(material_id, component_id, NULLIF(text, ''::text)) = 1)),
    CONSTRAINT row_bill_line_quantity_check CHECK ((quantity >= (0)::numeric)),
    CONSTRAINT row_bill_line_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_book_unit (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    name text NOT NULL,
    CONSTRAINT row_book_unit_name_check CHECK ((name <> ''::text)),
    CONSTRAINT row_book_unit_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_candidate_batch (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    product_id uuid NOT NULL,
    "position" integer NOT NULL,
    batch_size numeric,
    CONSTRAINT row_candidate_batch_batch_size_check CHECK ((batch_size > (0)::numeric)),
    CONSTRAINT row_candidate_batch_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_candidate_price (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    product_id uuid NOT NULL,
    channel_id uuid NOT NULL,
    "position" integer NOT NULL,
    price numeric,
    CONSTRAINT row_candidate_price_price_check CHECK ((price >= (0)::numeric)),
    CONSTRAINT row_candidate_price_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_channel (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    name text NOT NULL,
    fee_percent numeric NOT NULL,
    fee_basis text NOT NULL,
    fee_per_order numeric NOT NULL,
    units_per_order numeric NOT NULL,
    CONSTRAINT row_channel_fee_per_order_check CHECK ((fee_per_order >= (0)::numeric)),
    CONSTRAINT row_channel_fee_percent_check CHECK (((fee_percent >= (0)::numeric) AND (fee_percent < (100)::numeric))),
    CONSTRAINT row_channel_name_check CHECK ((name <> ''::text)),
    CONSTRAINT row_channel_units_per_order_check CHECK ((units_per_order > (0)::numeric)),
    CONSTRAINT row_channel_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_equipment (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    name text NOT NULL,
    power_kilowatts numeric,
    load_percent numeric NOT NULL,
    purchase_price numeric,
    residual_value numeric NOT NULL,
    life_hours numeric,
    upkeep_per_hour numeric,
    CONSTRAINT row_equipment_life_hours_check CHECK ((life_hours > (0)::numeric)),
    CONSTRAINT row_equipment_load_percent_check CHECK (((load_percent > (0)::numeric) AND (load_percent <= (100)::numeric))),
    CONSTRAINT row_equipment_name_check CHECK ((name <> ''::text)),
    CONSTRAINT row_equipment_power_kilowatts_check CHECK ((power_kilowatts >= (0)::numeric)),
    CONSTRAINT row_equipment_purchase_price_check CHECK ((purchase_price >= (0)::numeric)),
    CONSTRAINT row_equipment_residual_value_check CHECK ((residual_value >= (0)::numeric)),
    CONSTRAINT row_equipment_upkeep_per_hour_check CHECK ((upkeep_per_hour >= (0)::numeric)),
    CONSTRAINT row_equipment_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_equipment_run (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    name text NOT NULL,
    equipment_id uuid,
    hours_per_run numeric,
    space numeric,
    filled_percent numeric NOT NULL,
    empty_space text NOT NULL,
    CONSTRAINT row_equipment_run_filled_percent_check CHECK (((filled_percent > (0)::numeric) AND (filled_percent <= (100)::numeric))),
    CONSTRAINT row_equipment_run_hours_per_run_check CHECK ((hours_per_run > (0)::numeric)),
    CONSTRAINT row_equipment_run_name_check CHECK ((name <> ''::text)),
    CONSTRAINT row_equipment_run_space_check CHECK ((space > (0)::numeric)),
    CONSTRAINT row_equipment_run_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_equipment_use (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    product_id uuid NOT NULL,
    "position" integer NOT NULL,
    equipment_id uuid,
    run_id uuid,
    basis text NOT NULL,
    amount numeric,
    CONSTRAINT row_equipment_use_amount_check CHECK ((amount >= (0)::numeric)),
    CONSTRAINT row_equipment_use_check CHECK (((equipment_id IS NULL) OR (run_id IS NULL))),
    CONSTRAINT row_equipment_use_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_exchange_rate (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    currency text NOT NULL,
    valid_from date NOT NULL,
    rate numeric NOT NULL,
    source text NOT NULL,
    CONSTRAINT row_exchange_rate_rate_check CHECK ((rate > (0)::numeric)),
    CONSTRAINT row_exchange_rate_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_frozen_card (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    product_id uuid NOT NULL,
    name text NOT NULL,
    frozen_on date NOT NULL,
    CONSTRAINT row_frozen_card_name_check CHECK ((name <> ''::text)),
    CONSTRAINT row_frozen_card_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_frozen_line (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    frozen_card_id uuid NOT NULL,
    "position" integer NOT NULL,
    source text NOT NULL,
    element text NOT NULL,
    label text NOT NULL,
    quantity numeric NOT NULL,
    unit text NOT NULL,
    price numeric NOT NULL,
    currency text NOT NULL,
    CONSTRAINT row_frozen_line_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_item_conversion (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    material_id uuid,
    product_id uuid,
    quantity numeric NOT NULL,
    unit text NOT NULL,
    equal_quantity numeric,
    equal_unit text NOT NULL,
    CONSTRAINT row_item_conversion_check CHECK (((material_id IS NULL) <> (product_id IS NULL))),
    CONSTRAINT row_item_conversion_check1 CHECK ((unit <> equal_unit)),
    CONSTRAINT row_item_conversion_equal_quantity_check CHECK ((equal_quantity > (0)::numeric)),
    CONSTRAINT row_item_conversion_quantity_check CHECK ((quantity > (0)::numeric)),
    CONSTRAINT row_item_conversion_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_labour_grade (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    name text NOT NULL,
    wage_per_hour numeric,
    on_cost_percent numeric NOT NULL,
    productive_percent numeric NOT NULL,
    owners_time boolean NOT NULL,
    CONSTRAINT row_labour_grade_name_check CHECK ((name <> ''::text)),
    CONSTRAINT row_labour_grade_on_cost_percent_check CHECK ((on_cost_percent >= (0)::numeric)),
    CONSTRAINT row_labour_grade_productive_percent_check CHECK (((productive_percent > (0)::numeric) AND (productive_percent <= (100)::numeric))),
    CONSTRAINT row_labour_grade_version_check CHECK ((version > 0)),
    CONSTRAINT row_labour_grade_wage_per_hour_check CHECK ((wage_per_hour >= (0)::numeric))
);
CREATE TABLE public.row_labour_step (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    product_id uuid NOT NULL,
    "position" integer NOT NULL,
    name text NOT NULL,
    grade_id uuid,
    time_basis text NOT NULL,
    "time" numeric,
    people numeric NOT NULL,
    set_up_minutes numeric DEFAULT 0 NOT NULL,
    CONSTRAINT row_labour_step_name_check CHECK ((name <> ''::text)),
    CONSTRAINT row_labour_step_people_check CHECK ((people > (0)::numeric)),
    CONSTRAINT row_labour_step_set_up_minutes_check CHECK ((set_up_minutes >= (0)::numeric)),
    CONSTRAINT row_labour_step_time_check CHECK (("time" >= (0)::numeric)),
    CONSTRAINT row_labour_step_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_material (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    name text NOT NULL,
    kind text NOT NULL,
    base_unit text NOT NULL,
    note text NOT NULL,
    planning_basis text,
    planning_months integer,
    buffer_percent numeric,
    code text DEFAULT ''::text NOT NULL,
    category text DEFAULT ''::text NOT NULL,
    tags text DEFAULT ''::text NOT NULL,
    archived boolean DEFAULT false NOT NULL,
    preferred_supplier_id uuid,
    landed_add_on numeric,
    landed_add_on_basis text DEFAULT 'percent'::text NOT NULL,
    CONSTRAINT row_material_buffer_percent_check CHECK ((buffer_percent >= (0)::numeric)),
    CONSTRAINT row_material_landed_add_on_check CHECK ((landed_add_on >= (0)::numeric)),
    CONSTRAINT row_material_name_check CHECK ((name <> ''::text)),
    CONSTRAINT row_material_planning_months_check CHECK ((planning_months > 0)),
    CONSTRAINT row_material_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_other_cost (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    product_id uuid NOT NULL,
    "position" integer NOT NULL,
    name text NOT NULL,
    amount numeric,
    basis text NOT NULL,
    CONSTRAINT row_other_cost_amount_check CHECK ((amount >= (0)::numeric)),
    CONSTRAINT row_other_cost_name_check CHECK ((name <> ''::text)),
    CONSTRAINT row_other_cost_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_price_point (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    product_id uuid NOT NULL,
    channel_id uuid NOT NULL,
    basis text NOT NULL,
    target numeric,
    price numeric,
    tax_inside boolean NOT NULL,
    tax_percent numeric,
    discount_percent numeric NOT NULL,
    ending text NOT NULL,
    ending_direction text NOT NULL,
    CONSTRAINT row_price_point_discount_percent_check CHECK (((discount_percent >= (0)::numeric) AND (discount_percent <= (100)::numeric))),
    CONSTRAINT row_price_point_price_check CHECK ((price >= (0)::numeric)),
    CONSTRAINT row_price_point_tax_percent_check CHECK (((tax_percent >= (0)::numeric) AND (tax_percent <= (100)::numeric))),
    CONSTRAINT row_price_point_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_product (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    name text NOT NULL,
    kind text NOT NULL,
    output_unit text NOT NULL,
    planned_units_per_month numeric,
    batch_size numeric NOT NULL,
    yield_percent numeric NOT NULL,
    note text NOT NULL,
    code text DEFAULT ''::text NOT NULL,
    category text DEFAULT ''::text NOT NULL,
    tags text DEFAULT ''::text NOT NULL,
    archived boolean DEFAULT false NOT NULL,
    costing text DEFAULT 'bill and steps'::text NOT NULL,
    gtin text DEFAULT ''::text NOT NULL,
    CONSTRAINT row_product_batch_size_check CHECK ((batch_size > (0)::numeric)),
    CONSTRAINT row_product_name_check CHECK ((name <> ''::text)),
    CONSTRAINT row_product_planned_units_per_month_check CHECK ((planned_units_per_month >= (0)::numeric)),
    CONSTRAINT row_product_version_check CHECK ((version > 0)),
    CONSTRAINT row_product_yield_percent_check CHECK ((yield_percent > (0)::numeric))
);
CREATE TABLE public.row_recovered_scrap (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    product_id uuid NOT NULL,
    "position" integer NOT NULL,
    name text NOT NULL,
    quantity numeric,
    unit text NOT NULL,
    worth numeric,
    CONSTRAINT row_recovered_scrap_name_check CHECK ((name <> ''::text)),
    CONSTRAINT row_recovered_scrap_quantity_check CHECK ((quantity >= (0)::numeric)),
    CONSTRAINT row_recovered_scrap_version_check CHECK ((version > 0)),
    CONSTRAINT row_recovered_scrap_worth_check CHECK ((worth >= (0)::numeric))
);
CREATE TABLE public.row_running_cost (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    name text NOT NULL,
    "position" integer NOT NULL,
    amount numeric,
    rhythm text NOT NULL,
    months integer,
    starts_on date,
    pool text DEFAULT 'production'::text NOT NULL,
    CONSTRAINT row_running_cost_amount_check CHECK ((amount >= (0)::numeric)),
    CONSTRAINT row_running_cost_months_check CHECK ((months > 0)),
    CONSTRAINT row_running_cost_name_check CHECK ((name <> ''::text)),
    CONSTRAINT row_running_cost_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_settings (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    name text NOT NULL,
    currency text NOT NULL,
    locale text NOT NULL,
    rounding text NOT NULL,
    sales_tax_percent numeric NOT NULL,
    prices_include_tax boolean NOT NULL,
    open_days_per_week integer NOT NULL,
    closed_days_per_year numeric NOT NULL,
    open_days_per_month numeric,
    normal_labour_hours_per_month numeric,
    planning_basis text DEFAULT 'latest'::text NOT NULL,
    planning_months integer DEFAULT 12 NOT NULL,
    buffer_percent numeric DEFAULT 0 NOT NULL,
    electricity_per_kilowatt_hour numeric,
    use_rate_service boolean DEFAULT true NOT NULL,
    CONSTRAINT row_settings_buffer_percent_check CHECK ((buffer_percent >= (0)::numeric)),
    CONSTRAINT row_settings_check CHECK ((id = book_id)),
    CONSTRAINT row_settings_name_check CHECK ((name <> ''::text)),
    CONSTRAINT row_settings_normal_labour_hours_per_month_check CHECK ((normal_labour_hours_per_month > (0)::numeric)),
    CONSTRAINT row_settings_open_days_per_month_check CHECK ((open_days_per_month > (0)::numeric)),
    CONSTRAINT row_settings_open_days_per_week_check CHECK (((open_days_per_week >= 1) AND (open_days_per_week <= 7))),
    CONSTRAINT row_settings_planning_months_check CHECK ((planning_months > 0)),
    CONSTRAINT row_settings_sales_tax_percent_check CHECK (((sales_tax_percent >= (0)::numeric) AND (sales_tax_percent <= (100)::numeric))),
    CONSTRAINT row_settings_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_standard_price (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    material_id uuid NOT NULL,
    valid_from date NOT NULL,
    price numeric,
    CONSTRAINT row_standard_price_price_check CHECK ((price >= (0)::numeric)),
    CONSTRAINT row_standard_price_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_supplier (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    name text NOT NULL,
    CONSTRAINT row_supplier_name_check CHECK ((name <> ''::text)),
    CONSTRAINT row_supplier_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_supplier_price (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    material_id uuid NOT NULL,
    supplier_id uuid,
    pack_quantity numeric NOT NULL,
    pack_unit text NOT NULL,
    price numeric,
    currency text NOT NULL,
    valid_from date NOT NULL,
    minimum_order numeric,
    ordered_packs numeric,
    supplier_code text DEFAULT ''::text NOT NULL,
    CONSTRAINT row_supplier_price_minimum_order_check CHECK ((minimum_order > (0)::numeric)),
    CONSTRAINT row_supplier_price_ordered_packs_check CHECK ((ordered_packs > (0)::numeric)),
    CONSTRAINT row_supplier_price_pack_quantity_check CHECK ((pack_quantity > (0)::numeric)),
    CONSTRAINT row_supplier_price_price_check CHECK ((price >= (0)::numeric)),
    CONSTRAINT row_supplier_price_version_check CHECK ((version > 0))
);
CREATE TABLE public.row_typed_cost (
    book_id uuid NOT NULL,
    id uuid NOT NULL,
    version integer NOT NULL,
    product_id uuid NOT NULL,
    element text NOT NULL,
    amount numeric,
    hours numeric,
    CONSTRAINT row_typed_cost_amount_check CHECK ((amount >= (0)::numeric)),
    CONSTRAINT row_typed_cost_hours_check CHECK ((hours >= (0)::numeric)),
    CONSTRAINT row_typed_cost_version_check CHECK ((version > 0))
);
CREATE TABLE public.sessions (
    sid text NOT NULL,
    sess json NOT NULL,
    expire timestamp with time zone NOT NULL
);
CREATE TABLE public.tries (
    key text NOT NULL,
    hits integer NOT NULL,
    expires_at timestamp with time zone NOT NULL
);
CREATE TABLE public.users (
    id uuid NOT NULL,
    email text NOT NULL,
    name text NOT NULL,
    password_hash text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
ALTER TABLE ONLY public.migrations ALTER COLUMN id SET DEFAULT nextval('public.migrations_id_seq'::regclass);
INSERT INTO public.books VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', 2, '2026-11-26 13:15:16.693103+00');
INSERT INTO public.journal VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', 1, '01a217fe-fd53-773d-b314-1a892c504c2d', '01a217fe-fcdd-706a-8e84-53c98bd6e638', '2026-11-26 13:15:16.693103+00', NULL, 1, '3eb22734846fee824adc9552f1b49a8db5b22b526f225c10028b18bea7539a04', '[{"id": "01a217fe-fd53-773d-b314-16a6c533d366", "kind": "settings", "after": {"id": "01a217fe-fd53-773d-b314-16a6c533d366", "name": "Quillfern Pottery", "locale": "en-IE", "version": 1, "currency": "EUR", "rounding": "half-away-from-zero", "bufferPercent": "0", "planningBasis": "latest", "planningMonths": 12, "useRateService": true, "openDaysPerWeek": 5, "salesTaxPercent": "20", "openDaysPerMonth": null, "pricesIncludeTax": true, "closedDaysPerYear": "20", "normalLabourHoursPerMonth": "240", "electricityPerKilowattHour": "0.29"}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000002", "kind": "bookUnit", "after": {"id": "0192f000-0000-7000-8000-000000000002", "name": "tray", "version": 1}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000003", "kind": "exchangeRate", "after": {"id": "0192f000-0000-7000-8000-000000000003", "rate": "0.92", "source": "typed", "version": 1, "currency": "USD", "validFrom": "2026-01-01"}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000004", "kind": "exchangeRate", "after": {"id": "0192f000-0000-7000-8000-000000000004", "rate": "0.9155", "source": "typed", "version": 1, "currency": "USD", "validFrom": "2026-05-01"}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000006", "kind": "supplier", "after": {"id": "0192f000-0000-7000-8000-000000000006", "name": "Harrowmere Clays", "version": 1}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000011", "kind": "supplier", "after": {"id": "0192f000-0000-7000-8000-000000000011", "name": "Tolvane Minerals", "version": 1}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000007", "kind": "material", "after": {"id": "0192f000-0000-7000-8000-000000000007", "code": "", "kind": "ingredient", "name": "White stoneware clay", "note": "", "tags": "", "version": 1, "archived": false, "baseUnit": "kg", "category": "clay", "landedAddOn": null, "bufferPercent": null, "planningBasis": null, "planningMonths": null, "landedAddOnBasis": "percent", "preferredSupplierId": null}, "before": null}, {"id": "0192f000-0000-7000-8000-00000000000b", "kind": "material", "after": {"id": "0192f000-0000-7000-8000-00000000000b", "code": "", "kind": "ingredient", "name": "Speckled stoneware clay", "note": "", "tags": "", "version": 1, "archived": false, "baseUnit": "kg", "category": "clay", "landedAddOn": null, "bufferPercent": null, "planningBasis": null, "planningMonths": null, "landedAddOnBasis": "percent", "preferredSupplierId": null}, "before": null}, {"id": "0192f000-0000-7000-8000-00000000000f", "kind": "material", "after": {"id": "0192f000-0000-7000-8000-00000000000f", "code": "", "kind": "ingredient", "name": "White slip", "note": "", "tags": "", "version": 1, "archived": false, "baseUnit": "l", "category": "clay", "landedAddOn": null, "bufferPercent": null, "planningBasis": null, "planningMonths": null, "landedAddOnBasis": "percent", "preferredSupplierId": null}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000012", "kind": "material", "after": {"id": "0192f000-0000-7000-8000-000000000012", "code": "", "kind": "ingredient", "name": "Potash feldspar", "note": "", "tags": "", "version": 1, "archived": false, "baseUnit": "kg", "category": "glaze powder", "landedAddOn": null, "bufferPercent": null, "planningBasis": null, "planningMonths": null, "landedAddOnBasis": "percent", "preferredSupplierId": null}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000014", "kind": "material", "after": {"id": "0192f000-0000-7000-8000-000000000014", "code": "", "kind": "ingredient", "name": "Silica", "note": "", "tags": "", "version": 1, "archived": false, "baseUnit": "kg", "category": "glaze powder", "landedAddOn": null, "bufferPercent": null, "planningBasis": null, "planningMonths": null, "landedAddOnBasis": "percent", "preferredSupplierId": null}, "before": null}, {"id": "0192f000-0000-7000-8000-00000000002d", "kind": "material", "after": {"id": "0192f000-0000-7000-8000-00000000002d", "code": "", "kind": "ingredient", "name": "Cane handle", "note": "", "tags": "", "version": 1, "archived": false, "baseUnit": "each", "category": "", "landedAddOn": "12", "bufferPercent": null, "planningBasis": null, "planningMonths": null, "landedAddOnBasis": "percent", "preferredSupplierId": null}, "before": null}, {"id": "0192f000-0000-7000-8000-00000000003c", "kind": "material", "after": {"id": "0192f000-0000-7000-8000-00000000003c", "code": "", "kind": "packaging", "name": "Kraft paper", "note": "", "tags": "", "version": 1, "archived": false, "baseUnit": "m", "category": "", "landedAddOn": null, "bufferPercent": null, "planningBasis": "standard", "planningMonths": null, "landedAddOnBasis": "percent", "preferredSupplierId": null}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000008", "kind": "supplierPrice", "after": {"id": "0192f000-0000-7000-8000-000000000008", "price": "13.75", "version": 1, "currency": "EUR", "packUnit": "kg", "validFrom": "2026-09-01", "materialId": "0192f000-0000-7000-8000-000000000007", "supplierId": "0192f000-0000-7000-8000-000000000006", "minimumOrder": null, "orderedPacks": null, "packQuantity": "12.5", "supplierCode": ""}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000009", "kind": "supplierPrice", "after": {"id": "0192f000-0000-7000-8000-000000000009", "price": "12.90", "version": 1, "currency": "EUR", "packUnit": "kg", "validFrom": "2025-09-01", "materialId": "0192f000-0000-7000-8000-000000000007", "supplierId": "0192f000-0000-7000-8000-000000000006", "minimumOrder": null, "orderedPacks": null, "packQuantity": "12.5", "supplierCode": ""}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000049", "kind": "standardPrice", "after": {"id": "0192f000-0000-7000-8000-000000000049", "price": "0.23", "version": 1, "validFrom": "2026-01-01", "materialId": "0192f000-0000-7000-8000-00000000003c"}, "before": null}, {"id": "0192f000-0000-7000-8000-00000000004f", "kind": "labourGrade", "after": {"id": "0192f000-0000-7000-8000-00000000004f", "name": "Owner''s own time", "version": 1, "ownersTime": true, "wagePerHour": "24", "onCostPercent": "0", "productivePercent": "80"}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000050", "kind": "labourGrade", "after": {"id": "0192f000-0000-7000-8000-000000000050", "name": "Maker", "version": 1, "ownersTime": false, "wagePerHour": "16.50", "onCostPercent": "22", "productivePercent": "85"}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000051", "kind": "labourGrade", "after": {"id": "0192f000-0000-7000-8000-000000000051", "name": "Studio helper", "version": 1, "ownersTime": false, "wagePerHour": "13.20", "onCostPercent": "18", "productivePercent": "90"}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000052", "kind": "equipment", "after": {"id": "0192f000-0000-7000-8000-000000000052", "name": "Kiln", "version": 1, "lifeHours": "9000", "loadPercent": "45", "purchasePrice": "7800", "residualValue": "600", "upkeepPerHour": "0.60", "powerKilowatts": "18"}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000053", "kind": "equipment", "after": {"id": "0192f000-0000-7000-8000-000000000053", "name": "Throwing wheel", "version": 1, "lifeHours": "12000", "loadPercent": "60", "purchasePrice": "1350", "residualValue": "0", "upkeepPerHour": null, "powerKilowatts": "0.4"}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000054", "kind": "equipmentRun", "after": {"id": "0192f000-0000-7000-8000-000000000054", "name": "Bisque firing", "space": "140", "version": 1, "emptySpace": "carried by what is inside", "equipmentId": "0192f000-0000-7000-8000-000000000052", "hoursPerRun": "11", "filledPercent": "95"}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000055", "kind": "equipmentRun", "after": {"id": "0192f000-0000-7000-8000-000000000055", "name": "Glaze firing", "space": "90", "version": 1, "emptySpace": "shown as idle", "equipmentId": "0192f000-0000-7000-8000-000000000052", "hoursPerRun": "9", "filledPercent": "88"}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000056", "kind": "product", "after": {"id": "0192f000-0000-7000-8000-000000000056", "code": "", "gtin": "", "kind": "made", "name": "Moss glaze", "note": "Weighed dry, sold to nobody: it goes into the ware.", "tags": "", "costing": "bill and steps", "version": 1, "archived": false, "category": "", "batchSize": "10", "outputUnit": "kg", "yieldPercent": "96", "plannedUnitsPerMonth": null}, "before": null}, {"id": "0192f000-0000-7000-8000-00000000005e", "kind": "product", "after": {"id": "0192f000-0000-7000-8000-00000000005e", "code": "MUG-1", "gtin": "2000000000015", "kind": "made", "name": "Everyday mug", "note": "", "tags": "", "costing": "bill and steps", "version": 1, "archived": false, "category": "tableware", "batchSize": "60", "outputUnit": "each", "yieldPercent": "92", "plannedUnitsPerMonth": "240"}, "before": null}, {"id": "0192f000-0000-7000-8000-00000000006e", "kind": "product", "after": {"id": "0192f000-0000-7000-8000-00000000006e", "code": "", "gtin": "", "kind": "made", "name": "Breakfast bowl", "note": "", "tags": "", "costing": "bill and steps", "version": 1, "archived": false, "category": "tableware", "batchSize": "40", "outputUnit": "each", "yieldPercent": "90", "plannedUnitsPerMonth": "120"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000ab", "kind": "product", "after": {"id": "0192f000-0000-7000-8000-0000000000ab", "code": "", "gtin": "", "kind": "service", "name": "Glazing workshop, two hours", "note": "", "tags": "", "costing": "bill and steps", "version": 1, "archived": false, "category": "classes", "batchSize": "8", "outputUnit": "each", "yieldPercent": "100", "plannedUnitsPerMonth": "48"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000b3", "kind": "product", "after": {"id": "0192f000-0000-7000-8000-0000000000b3", "code": "", "gtin": "", "kind": "made", "name": "Soap dish", "note": "Costed by rule of thumb until the first batch is made.", "tags": "", "costing": "typed totals", "version": 1, "archived": false, "category": "gifts", "batchSize": "1", "outputUnit": "each", "yieldPercent": "100", "plannedUnitsPerMonth": "20"}, "before": null}, {"id": "0192f000-0000-7000-8000-00000000004a", "kind": "itemConversion", "after": {"id": "0192f000-0000-7000-8000-00000000004a", "unit": "l", "version": 1, "quantity": "1", "equalUnit": "kg", "productId": null, "materialId": "0192f000-0000-7000-8000-00000000000f", "equalQuantity": "1.42"}, "before": null}, {"id": "0192f000-0000-7000-8000-00000000004b", "kind": "itemConversion", "after": {"id": "0192f000-0000-7000-8000-00000000004b", "unit": "each", "version": 1, "quantity": "1", "equalUnit": "g", "productId": null, "materialId": "0192f000-0000-7000-8000-00000000002d", "equalQuantity": "46"}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000057", "kind": "billLine", "after": {"id": "0192f000-0000-7000-8000-000000000057", "text": "", "unit": "kg", "basis": "batch", "version": 1, "position": 0, "quantity": "4.2", "lossBasis": "of the input", "productId": "0192f000-0000-7000-8000-000000000056", "materialId": "0192f000-0000-7000-8000-000000000012", "componentId": null, "lossPercent": "0"}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000058", "kind": "billLine", "after": {"id": "0192f000-0000-7000-8000-000000000058", "text": "", "unit": "kg", "basis": "batch", "version": 1, "position": 1, "quantity": "2.4", "lossBasis": "of the input", "productId": "0192f000-0000-7000-8000-000000000056", "materialId": "0192f000-0000-7000-8000-000000000014", "componentId": null, "lossPercent": "0"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000b8", "kind": "recoveredScrap", "after": {"id": "0192f000-0000-7000-8000-0000000000b8", "name": "Reclaimed clay", "unit": "kg", "worth": "0.55", "version": 1, "position": 0, "quantity": "1.8", "productId": "0192f000-0000-7000-8000-00000000005e"}, "before": null}, {"id": "0192f000-0000-7000-8000-00000000005d", "kind": "labourStep", "after": {"id": "0192f000-0000-7000-8000-00000000005d", "name": "Weigh and sieve", "time": "75", "people": "1", "gradeId": "0192f000-0000-7000-8000-000000000051", "version": 1, "position": 0, "productId": "0192f000-0000-7000-8000-000000000056", "timeBasis": "minutes per batch", "setUpMinutes": "0"}, "before": null}, {"id": "0192f000-0000-7000-8000-000000000066", "kind": "labourStep", "after": {"id": "0192f000-0000-7000-8000-000000000066", "name": "Throw and turn", "time": "11", "people": "1", "gradeId": "0192f000-0000-7000-8000-000000000050", "version": 1, "position": 0, "productId": "0192f000-0000-7000-8000-00000000005e", "timeBasis": "units per hour", "setUpMinutes": "20"}, "before": null}, {"id": "0192f000-0000-7000-8000-00000000006b", "kind": "equipmentUse", "after": {"id": "0192f000-0000-7000-8000-00000000006b", "basis": "minutes per unit", "runId": null, "amount": "5.5", "version": 1, "position": 0, "productId": "0192f000-0000-7000-8000-00000000005e", "equipmentId": "0192f000-0000-7000-8000-000000000053"}, "before": null}, {"id": "0192f000-0000-7000-8000-00000000006c", "kind": "equipmentUse", "after": {"id": "0192f000-0000-7000-8000-00000000006c", "basis": "space per unit", "runId": "0192f000-0000-7000-8000-000000000054", "amount": "1", "version": 1, "position": 1, "productId": "0192f000-0000-7000-8000-00000000005e", "equipmentId": null}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000b2", "kind": "otherCost", "after": {"id": "0192f000-0000-7000-8000-0000000000b2", "name": "Tea and biscuits", "basis": "unit", "amount": "1.60", "version": 1, "position": 0, "productId": "0192f000-0000-7000-8000-0000000000ab"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000b4", "kind": "typedCost", "after": {"id": "0192f000-0000-7000-8000-0000000000b4", "hours": null, "amount": "0.90", "element": "materials", "version": 1, "productId": "0192f000-0000-7000-8000-0000000000b3"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000b5", "kind": "typedCost", "after": {"id": "0192f000-0000-7000-8000-0000000000b5", "hours": null, "amount": "0.55", "element": "packaging", "version": 1, "productId": "0192f000-0000-7000-8000-0000000000b3"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000b9", "kind": "candidateBatch", "after": {"id": "0192f000-0000-7000-8000-0000000000b9", "version": 1, "position": 0, "batchSize": "12", "productId": "0192f000-0000-7000-8000-00000000005e"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000ba", "kind": "candidateBatch", "after": {"id": "0192f000-0000-7000-8000-0000000000ba", "version": 1, "position": 1, "batchSize": "30", "productId": "0192f000-0000-7000-8000-00000000005e"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000bd", "kind": "frozenCard", "after": {"id": "0192f000-0000-7000-8000-0000000000bd", "name": "Spring prices", "version": 1, "frozenOn": "2026-04-01", "productId": "0192f000-0000-7000-8000-00000000005e"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000be", "kind": "frozenLine", "after": {"id": "0192f000-0000-7000-8000-0000000000be", "unit": "kg", "label": "White stoneware clay", "price": "1.056", "source": "material.0192f000-0000-7000-8000-000000000007", "element": "materials", "version": 1, "currency": "EUR", "position": 0, "quantity": "0.496219281664", "frozenCardId": "0192f000-0000-7000-8000-0000000000bd"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000bf", "kind": "frozenLine", "after": {"id": "0192f000-0000-7000-8000-0000000000bf", "unit": "kg", "label": "Moss glaze", "price": "5.20", "source": "product.0192f000-0000-7000-8000-000000000056", "element": "component", "version": 1, "currency": "EUR", "position": 1, "quantity": "0.04347826087", "frozenCardId": "0192f000-0000-7000-8000-0000000000bd"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000cd", "kind": "runningCost", "after": {"id": "0192f000-0000-7000-8000-0000000000cd", "name": "Studio rent", "pool": "production", "amount": "1450", "months": null, "rhythm": "month", "version": 1, "position": 0, "startsOn": null}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000ce", "kind": "runningCost", "after": {"id": "0192f000-0000-7000-8000-0000000000ce", "name": "Electricity, standing charge and light", "pool": "production", "amount": "168", "months": null, "rhythm": "month", "version": 1, "position": 1, "startsOn": null}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000d7", "kind": "channel", "after": {"id": "0192f000-0000-7000-8000-0000000000d7", "name": "Own web shop", "version": 1, "feeBasis": "price paid", "feePercent": "2.9", "feePerOrder": "0.30", "unitsPerOrder": "1.6"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000d8", "kind": "pricePoint", "after": {"id": "0192f000-0000-7000-8000-0000000000d8", "basis": "typed", "price": "19.50", "ending": "none", "target": null, "version": 1, "channelId": "0192f000-0000-7000-8000-0000000000d7", "productId": "0192f000-0000-7000-8000-00000000005e", "taxInside": true, "taxPercent": null, "discountPercent": "0", "endingDirection": "up"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000d9", "kind": "pricePoint", "after": {"id": "0192f000-0000-7000-8000-0000000000d9", "basis": "margin", "price": "17.95", "ending": ".95", "target": "18", "version": 1, "channelId": "0192f000-0000-7000-8000-0000000000d7", "productId": "0192f000-0000-7000-8000-00000000006e", "taxInside": true, "taxPercent": null, "discountPercent": "0", "endingDirection": "up"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000e0", "kind": "candidatePrice", "after": {"id": "0192f000-0000-7000-8000-0000000000e0", "price": "17.50", "version": 1, "position": 0, "channelId": "0192f000-0000-7000-8000-0000000000d7", "productId": "0192f000-0000-7000-8000-00000000005e"}, "before": null}, {"id": "0192f000-0000-7000-8000-0000000000e1", "kind": "candidatePrice", "after": {"id": "0192f000-0000-7000-8000-0000000000e1", "price": "19.50", "version": 1, "position": 1, "channelId": "0192f000-0000-7000-8000-0000000000d7", "productId": "0192f000-0000-7000-8000-00000000005e"}, "before": null}]');
INSERT INTO public.journal VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', 2, '01a217fe-fddb-77e0-a1af-a3cf51052c82', '01a217fe-fcdd-706a-8e84-53c98bd6e638', '2026-11-26 13:15:16.841941+00', NULL, 1, 'f4ed18d6ea82f1893b234837f06c7b2bb8e496123bd060d5f17d748fea1713f6', '[{"id": "01a217fe-fddb-77e0-a1af-a5cee6d041fd", "kind": "material", "after": {"id": "01a217fe-fddb-77e0-a1af-a5cee6d041fd", "code": "", "kind": "ingredient", "name": "Straßenschild", "note": "", "tags": "", "version": 1, "archived": false, "baseUnit": "kg", "category": "", "landedAddOn": null, "bufferPercent": null, "planningBasis": null, "planningMonths": null, "landedAddOnBasis": "percent", "preferredSupplierId": null}, "before": null}, {"id": "01a217fe-fddb-77e0-a1af-ab37584a276a", "kind": "material", "after": {"id": "01a217fe-fddb-77e0-a1af-ab37584a276a", "code": "", "kind": "ingredient", "name": "STRASSENSCHILD", "note": "", "tags": "", "version": 1, "archived": false, "baseUnit": "kg", "category": "", "landedAddOn": null, "bufferPercent": null, "planningBasis": null, "planningMonths": null, "landedAddOnBasis": "percent", "preferredSupplierId": null}, "before": null}, {"id": "01a217fe-fddb-77e0-a1af-af1bc3793670", "kind": "material", "after": {"id": "01a217fe-fddb-77e0-a1af-af1bc3793670", "code": "", "kind": "ingredient", "name": "Café", "note": "", "tags": "", "version": 1, "archived": false, "baseUnit": "kg", "category": "", "landedAddOn": null, "bufferPercent": null, "planningBasis": null, "planningMonths": null, "landedAddOnBasis": "percent", "preferredSupplierId": null}, "before": null}, {"id": "01a217fe-fddb-77e0-a1af-b004e0bda9cb", "kind": "material", "after": {"id": "01a217fe-fddb-77e0-a1af-b004e0bda9cb", "code": "", "kind": "ingredient", "name": "Café", "note": "", "tags": "", "version": 1, "archived": false, "baseUnit": "kg", "category": "", "landedAddOn": null, "bufferPercent": null, "planningBasis": null, "planningMonths": null, "landedAddOnBasis": "percent", "preferredSupplierId": null}, "before": null}, {"id": "01a217fe-fddb-77e0-a1af-b42261a78c5f", "kind": "material", "after": {"id": "01a217fe-fddb-77e0-a1af-b42261a78c5f", "code": "", "kind": "ingredient", "name": "ﬁne clay", "note": "", "tags": "", "version": 1, "archived": false, "baseUnit": "kg", "category": "", "landedAddOn": null, "bufferPercent": null, "planningBasis": null, "planningMonths": null, "landedAddOnBasis": "percent", "preferredSupplierId": null}, "before": null}, {"id": "01a217fe-fddb-77e0-a1af-bb5462af45c4", "kind": "material", "after": {"id": "01a217fe-fddb-77e0-a1af-bb5462af45c4", "code": "", "kind": "ingredient", "name": "Fine clay", "note": "", "tags": "", "version": 1, "archived": false, "baseUnit": "kg", "category": "", "landedAddOn": null, "bufferPercent": null, "planningBasis": null, "planningMonths": null, "landedAddOnBasis": "percent", "preferredSupplierId": null}, "before": null}]');
INSERT INTO public.members VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '01a217fe-fcdd-706a-8e84-53c98bd6e638', 'owner');
INSERT INTO public.migrations VALUES (1, 1764000000000, 'FirstTables1764000000000');
INSERT INTO public.migrations VALUES (2, 1764100000000, 'ItemConversions1764100000000');
INSERT INTO public.migrations VALUES (3, 1764200000000, 'PlanningPrices1764200000000');
INSERT INTO public.migrations VALUES (4, 1764300000000, 'PurchasingAndProductionInFull1764300000000');
INSERT INTO public.migrations VALUES (5, 1764400000000, 'KeptSnapshots1764400000000');
INSERT INTO public.migrations VALUES (6, 1764500000000, 'WasteOnTop1764500000000');
INSERT INTO public.row_bill_line VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000057', 1, '0192f000-0000-7000-8000-000000000056', 0, '0192f000-0000-7000-8000-000000000012', NULL, 4.2, 'kg', 'batch', 0, '', 'of the input');
INSERT INTO public.row_bill_line VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000058', 1, '0192f000-0000-7000-8000-000000000056', 1, '0192f000-0000-7000-8000-000000000014', NULL, 2.4, 'kg', 'batch', 0, '', 'of the input');
INSERT INTO public.row_book_unit VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000002', 1, 'tray');
INSERT INTO public.row_candidate_batch VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000b9', 1, '0192f000-0000-7000-8000-00000000005e', 0, 12);
INSERT INTO public.row_candidate_batch VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000ba', 1, '0192f000-0000-7000-8000-00000000005e', 1, 30);
INSERT INTO public.row_candidate_price VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000e0', 1, '0192f000-0000-7000-8000-00000000005e', '0192f000-0000-7000-8000-0000000000d7', 0, 17.50);
INSERT INTO public.row_candidate_price VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000e1', 1, '0192f000-0000-7000-8000-00000000005e', '0192f000-0000-7000-8000-0000000000d7', 1, 19.50);
INSERT INTO public.row_channel VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000d7', 1, 'Own web shop', 2.9, 'price paid', 0.30, 1.6);
INSERT INTO public.row_equipment VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000052', 1, 'Kiln', 18, 45, 7800, 600, 9000, 0.60);
INSERT INTO public.row_equipment VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000053', 1, 'Throwing wheel', 0.4, 60, 1350, 0, 12000, NULL);
INSERT INTO public.row_equipment_run VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000054', 1, 'Bisque firing', '0192f000-0000-7000-8000-000000000052', 11, 140, 95, 'carried by what is inside');
INSERT INTO public.row_equipment_run VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000055', 1, 'Glaze firing', '0192f000-0000-7000-8000-000000000052', 9, 90, 88, 'shown as idle');
INSERT INTO public.row_equipment_use VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-00000000006b', 1, '0192f000-0000-7000-8000-00000000005e', 0, '0192f000-0000-7000-8000-000000000053', NULL, 'minutes per unit', 5.5);
INSERT INTO public.row_equipment_use VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-00000000006c', 1, '0192f000-0000-7000-8000-00000000005e', 1, NULL, '0192f000-0000-7000-8000-000000000054', 'space per unit', 1);
INSERT INTO public.row_exchange_rate VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000003', 1, 'USD', '2026-01-01', 0.92, 'typed');
INSERT INTO public.row_exchange_rate VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000004', 1, 'USD', '2026-05-01', 0.9155, 'typed');
INSERT INTO public.row_frozen_card VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000bd', 1, '0192f000-0000-7000-8000-00000000005e', 'Spring prices', '2026-04-01');
INSERT INTO public.row_frozen_line VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000be', 1, '0192f000-0000-7000-8000-0000000000bd', 0, 'material.0192f000-0000-7000-8000-000000000007', 'materials', 'White stoneware clay', 0.496219281664, 'kg', 1.056, 'EUR');
INSERT INTO public.row_frozen_line VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000bf', 1, '0192f000-0000-7000-8000-0000000000bd', 1, 'product.0192f000-0000-7000-8000-000000000056', 'component', 'Moss glaze', 0.04347826087, 'kg', 5.20, 'EUR');
INSERT INTO public.row_item_conversion VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-00000000004a', 1, '0192f000-0000-7000-8000-00000000000f', NULL, 1, 'l', 1.42, 'kg');
INSERT INTO public.row_item_conversion VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-00000000004b', 1, '0192f000-0000-7000-8000-00000000002d', NULL, 1, 'each', 46, 'g');
INSERT INTO public.row_labour_grade VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-00000000004f', 1, 'Owner''s own time', 24, 0, 80, true);
INSERT INTO public.row_labour_grade VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000050', 1, 'Maker', 16.50, 22, 85, false);
INSERT INTO public.row_labour_grade VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000051', 1, 'Studio helper', 13.20, 18, 90, false);
INSERT INTO public.row_labour_step VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-00000000005d', 1, '0192f000-0000-7000-8000-000000000056', 0, 'Weigh and sieve', '0192f000-0000-7000-8000-000000000051', 'minutes per batch', 75, 1, 0);
INSERT INTO public.row_labour_step VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000066', 1, '0192f000-0000-7000-8000-00000000005e', 0, 'Throw and turn', '0192f000-0000-7000-8000-000000000050', 'units per hour', 11, 1, 20);
INSERT INTO public.row_material VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000007', 1, 'White stoneware clay', 'ingredient', 'kg', '', NULL, NULL, NULL, '', 'clay', '', false, NULL, NULL, 'percent');
INSERT INTO public.row_material VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-00000000000b', 1, 'Speckled stoneware clay', 'ingredient', 'kg', '', NULL, NULL, NULL, '', 'clay', '', false, NULL, NULL, 'percent');
INSERT INTO public.row_material VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-00000000000f', 1, 'White slip', 'ingredient', 'l', '', NULL, NULL, NULL, '', 'clay', '', false, NULL, NULL, 'percent');
INSERT INTO public.row_material VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000012', 1, 'Potash feldspar', 'ingredient', 'kg', '', NULL, NULL, NULL, '', 'glaze powder', '', false, NULL, NULL, 'percent');
INSERT INTO public.row_material VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000014', 1, 'Silica', 'ingredient', 'kg', '', NULL, NULL, NULL, '', 'glaze powder', '', false, NULL, NULL, 'percent');
INSERT INTO public.row_material VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-00000000002d', 1, 'Cane handle', 'ingredient', 'each', '', NULL, NULL, NULL, '', '', '', false, NULL, 12, 'percent');
INSERT INTO public.row_material VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-00000000003c', 1, 'Kraft paper', 'packaging', 'm', '', 'standard', NULL, NULL, '', '', '', false, NULL, NULL, 'percent');
INSERT INTO public.row_material VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '01a217fe-fddb-77e0-a1af-a5cee6d041fd', 1, 'Straßenschild', 'ingredient', 'kg', '', NULL, NULL, NULL, '', '', '', false, NULL, NULL, 'percent');
INSERT INTO public.row_material VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '01a217fe-fddb-77e0-a1af-ab37584a276a', 1, 'STRASSENSCHILD', 'ingredient', 'kg', '', NULL, NULL, NULL, '', '', '', false, NULL, NULL, 'percent');
INSERT INTO public.row_material VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '01a217fe-fddb-77e0-a1af-af1bc3793670', 1, 'Café', 'ingredient', 'kg', '', NULL, NULL, NULL, '', '', '', false, NULL, NULL, 'percent');
INSERT INTO public.row_material VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '01a217fe-fddb-77e0-a1af-b004e0bda9cb', 1, 'Café', 'ingredient', 'kg', '', NULL, NULL, NULL, '', '', '', false, NULL, NULL, 'percent');
INSERT INTO public.row_material VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '01a217fe-fddb-77e0-a1af-b42261a78c5f', 1, 'ﬁne clay', 'ingredient', 'kg', '', NULL, NULL, NULL, '', '', '', false, NULL, NULL, 'percent');
INSERT INTO public.row_material VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '01a217fe-fddb-77e0-a1af-bb5462af45c4', 1, 'Fine clay', 'ingredient', 'kg', '', NULL, NULL, NULL, '', '', '', false, NULL, NULL, 'percent');
INSERT INTO public.row_other_cost VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000b2', 1, '0192f000-0000-7000-8000-0000000000ab', 0, 'Tea and biscuits', 1.60, 'unit');
INSERT INTO public.row_price_point VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000d8', 1, '0192f000-0000-7000-8000-00000000005e', '0192f000-0000-7000-8000-0000000000d7', 'typed', NULL, 19.50, true, NULL, 0, 'none', 'up');
INSERT INTO public.row_price_point VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000d9', 1, '0192f000-0000-7000-8000-00000000006e', '0192f000-0000-7000-8000-0000000000d7', 'margin', 18, 17.95, true, NULL, 0, '.95', 'up');
INSERT INTO public.row_product VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000056', 1, 'Moss glaze', 'made', 'kg', NULL, 10, 96, 'Weighed dry, sold to nobody: it goes into the ware.', '', '', '', false, 'bill and steps', '');
INSERT INTO public.row_product VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-00000000005e', 1, 'Everyday mug', 'made', 'each', 240, 60, 92, '', 'MUG-1', 'tableware', '', false, 'bill and steps', '2000000000015');
INSERT INTO public.row_product VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-00000000006e', 1, 'Breakfast bowl', 'made', 'each', 120, 40, 90, '', '', 'tableware', '', false, 'bill and steps', '');
INSERT INTO public.row_product VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000ab', 1, 'Glazing workshop, two hours', 'service', 'each', 48, 8, 100, '', '', 'classes', '', false, 'bill and steps', '');
INSERT INTO public.row_product VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000b3', 1, 'Soap dish', 'made', 'each', 20, 1, 100, 'Costed by rule of thumb until the first batch is made.', '', 'gifts', '', false, 'typed totals', '');
INSERT INTO public.row_recovered_scrap VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000b8', 1, '0192f000-0000-7000-8000-00000000005e', 0, 'Reclaimed clay', 1.8, 'kg', 0.55);
INSERT INTO public.row_running_cost VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000cd', 1, 'Studio rent', 0, 1450, 'month', NULL, NULL, 'production');
INSERT INTO public.row_running_cost VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000ce', 1, 'Electricity, standing charge and light', 1, 168, 'month', NULL, NULL, 'production');
INSERT INTO public.row_settings VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '01a217fe-fd53-773d-b314-16a6c533d366', 1, 'Quillfern Pottery', 'EUR', 'en-IE', 'half-away-from-zero', 20, true, 5, 20, NULL, 240, 'latest', 12, 0, 0.29, true);
INSERT INTO public.row_standard_price VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000049', 1, '0192f000-0000-7000-8000-00000000003c', '2026-01-01', 0.23);
INSERT INTO public.row_supplier VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000006', 1, 'Harrowmere Clays');
INSERT INTO public.row_supplier VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000011', 1, 'Tolvane Minerals');
INSERT INTO public.row_supplier_price VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000008', 1, '0192f000-0000-7000-8000-000000000007', '0192f000-0000-7000-8000-000000000006', 12.5, 'kg', 13.75, 'EUR', '2026-09-01', NULL, NULL, '');
INSERT INTO public.row_supplier_price VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-000000000009', 1, '0192f000-0000-7000-8000-000000000007', '0192f000-0000-7000-8000-000000000006', 12.5, 'kg', 12.90, 'EUR', '2025-09-01', NULL, NULL, '');
INSERT INTO public.row_typed_cost VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000b4', 1, '0192f000-0000-7000-8000-0000000000b3', 'materials', 0.90, NULL);
INSERT INTO public.row_typed_cost VALUES ('01a217fe-fd53-773d-b314-16a6c533d366', '0192f000-0000-7000-8000-0000000000b5', 1, '0192f000-0000-7000-8000-0000000000b3', 'packaging', 0.55, NULL);
INSERT INTO public.users VALUES ('01a217fe-fcdd-706a-8e84-53c98bd6e638', 'robin@example.test', 'Robin Tester', '$argon2id$v=19$m=19456,t=2,p=1$9HyLIj1NGOhMIAYX3u9VbQ$NenIFsbEogu+o89WzozbwXMLY1ehUc1YtGUqC6/wkNI', '2026-11-26 13:15:16.598+00');
ALTER TABLE ONLY public.migrations
    ADD CONSTRAINT "PK_8c82d7f526340ab734260ea46be" PRIMARY KEY (id);
ALTER TABLE ONLY public.books
    ADD CONSTRAINT books_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.journal
    ADD CONSTRAINT journal_book_id_change_id_key UNIQUE (book_id, change_id);
ALTER TABLE ONLY public.journal
    ADD CONSTRAINT journal_pkey PRIMARY KEY (book_id, revision);
ALTER TABLE ONLY public.kept_snapshots
    ADD CONSTRAINT kept_snapshots_pkey PRIMARY KEY (book_id);
ALTER TABLE ONLY public.members
    ADD CONSTRAINT members_pkey PRIMARY KEY (book_id, user_id);
ALTER TABLE ONLY public.row_bill_line
    ADD CONSTRAINT row_bill_line_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_book_unit
    ADD CONSTRAINT row_book_unit_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_candidate_batch
    ADD CONSTRAINT row_candidate_batch_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_candidate_price
    ADD CONSTRAINT row_candidate_price_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_channel
    ADD CONSTRAINT row_channel_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_equipment
    ADD CONSTRAINT row_equipment_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_equipment_run
    ADD CONSTRAINT row_equipment_run_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_equipment_use
    ADD CONSTRAINT row_equipment_use_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_exchange_rate
    ADD CONSTRAINT row_exchange_rate_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_frozen_card
    ADD CONSTRAINT row_frozen_card_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_frozen_line
    ADD CONSTRAINT row_frozen_line_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_item_conversion
    ADD CONSTRAINT row_item_conversion_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_labour_grade
    ADD CONSTRAINT row_labour_grade_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_labour_step
    ADD CONSTRAINT row_labour_step_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_material
    ADD CONSTRAINT row_material_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_other_cost
    ADD CONSTRAINT row_other_cost_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_price_point
    ADD CONSTRAINT row_price_point_book_id_product_id_channel_id_key UNIQUE (book_id, product_id, channel_id);
ALTER TABLE ONLY public.row_price_point
    ADD CONSTRAINT row_price_point_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_product
    ADD CONSTRAINT row_product_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_recovered_scrap
    ADD CONSTRAINT row_recovered_scrap_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_running_cost
    ADD CONSTRAINT row_running_cost_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_settings
    ADD CONSTRAINT row_settings_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_standard_price
    ADD CONSTRAINT row_standard_price_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_supplier
    ADD CONSTRAINT row_supplier_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_supplier_price
    ADD CONSTRAINT row_supplier_price_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.row_typed_cost
    ADD CONSTRAINT row_typed_cost_pkey PRIMARY KEY (book_id, id);
ALTER TABLE ONLY public.sessions
    ADD CONSTRAINT sessions_pkey PRIMARY KEY (sid);
ALTER TABLE ONLY public.tries
    ADD CONSTRAINT tries_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.users
    ADD CONSTRAINT users_pkey PRIMARY KEY (id);
CREATE INDEX members_user ON public.members USING btree (user_id);
CREATE INDEX row_bill_line_component_id ON public.row_bill_line USING btree (book_id, component_id);
CREATE INDEX row_bill_line_material_id ON public.row_bill_line USING btree (book_id, material_id);
CREATE INDEX row_bill_line_product_id ON public.row_bill_line USING btree (book_id, product_id);
CREATE UNIQUE INDEX row_book_unit_name ON public.row_book_unit USING btree (book_id, lower(name));
CREATE INDEX row_candidate_batch_product_id ON public.row_candidate_batch USING btree (book_id, product_id);
CREATE INDEX row_candidate_price_channel_id ON public.row_candidate_price USING btree (book_id, channel_id);
CREATE INDEX row_candidate_price_product_id ON public.row_candidate_price USING btree (book_id, product_id);
CREATE UNIQUE INDEX row_channel_name ON public.row_channel USING btree (book_id, lower(name));
CREATE UNIQUE INDEX row_equipment_name ON public.row_equipment USING btree (book_id, lower(name));
CREATE INDEX row_equipment_run_equipment_id ON public.row_equipment_run USING btree (book_id, equipment_id);
CREATE UNIQUE INDEX row_equipment_run_name ON public.row_equipment_run USING btree (book_id, lower(name));
CREATE INDEX row_equipment_use_equipment_id ON public.row_equipment_use USING btree (book_id, equipment_id);
CREATE INDEX row_equipment_use_product_id ON public.row_equipment_use USING btree (book_id, product_id);
CREATE INDEX row_equipment_use_run_id ON public.row_equipment_use USING btree (book_id, run_id);
CREATE INDEX row_frozen_card_product_id ON public.row_frozen_card USING btree (book_id, product_id);
CREATE INDEX row_frozen_line_frozen_card_id ON public.row_frozen_line USING btree (book_id, frozen_card_id);
CREATE INDEX row_item_conversion_material_id ON public.row_item_conversion USING btree (book_id, material_id);
CREATE INDEX row_item_conversion_product_id ON public.row_item_conversion USING btree (book_id, product_id);
CREATE UNIQUE INDEX row_labour_grade_name ON public.row_labour_grade USING btree (book_id, lower(name));
CREATE INDEX row_labour_step_grade_id ON public.row_labour_step USING btree (book_id, grade_id);
CREATE INDEX row_labour_step_product_id ON public.row_labour_step USING btree (book_id, product_id);
CREATE UNIQUE INDEX row_material_name ON public.row_material USING btree (book_id, lower(name));
CREATE INDEX row_material_preferred_supplier_id ON public.row_material USING btree (book_id, preferred_supplier_id);
CREATE INDEX row_other_cost_product_id ON public.row_other_cost USING btree (book_id, product_id);
CREATE INDEX row_price_point_channel_id ON public.row_price_point USING btree (book_id, channel_id);
CREATE UNIQUE INDEX row_product_name ON public.row_product USING btree (book_id, lower(name));
CREATE INDEX row_recovered_scrap_product_id ON public.row_recovered_scrap USING btree (book_id, product_id);
CREATE UNIQUE INDEX row_running_cost_name ON public.row_running_cost USING btree (book_id, lower(name));
CREATE INDEX row_standard_price_material_id ON public.row_standard_price USING btree (book_id, material_id);
CREATE UNIQUE INDEX row_supplier_name ON public.row_supplier USING btree (book_id, lower(name));
CREATE INDEX row_supplier_price_material_id ON public.row_supplier_price USING btree (book_id, material_id);
CREATE INDEX row_supplier_price_supplier_id ON public.row_supplier_price USING btree (book_id, supplier_id);
CREATE INDEX row_typed_cost_product_id ON public.row_typed_cost USING btree (book_id, product_id);
CREATE INDEX sessions_expire ON public.sessions USING btree (expire);
CREATE UNIQUE INDEX users_email ON public.users USING btree (lower(email));
ALTER TABLE ONLY public.journal
    ADD CONSTRAINT journal_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.journal
    ADD CONSTRAINT journal_user_id_fkey FOREIGN KEY (user_id) REFERENCES public.users(id);
ALTER TABLE ONLY public.kept_snapshots
    ADD CONSTRAINT kept_snapshots_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.members
    ADD CONSTRAINT members_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.members
    ADD CONSTRAINT members_user_id_fkey FOREIGN KEY (user_id) REFERENCES public.users(id);
ALTER TABLE ONLY public.row_bill_line
    ADD CONSTRAINT row_bill_line_book_id_component_id_fkey FOREIGN KEY (book_id, component_id) REFERENCES public.row_product(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_bill_line
    ADD CONSTRAINT row_bill_line_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_bill_line
    ADD CONSTRAINT row_bill_line_book_id_material_id_fkey FOREIGN KEY (book_id, material_id) REFERENCES public.row_material(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_bill_line
    ADD CONSTRAINT row_bill_line_book_id_product_id_fkey FOREIGN KEY (book_id, product_id) REFERENCES public.row_product(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_book_unit
    ADD CONSTRAINT row_book_unit_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_candidate_batch
    ADD CONSTRAINT row_candidate_batch_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_candidate_batch
    ADD CONSTRAINT row_candidate_batch_book_id_product_id_fkey FOREIGN KEY (book_id, product_id) REFERENCES public.row_product(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_candidate_price
    ADD CONSTRAINT row_candidate_price_book_id_channel_id_fkey FOREIGN KEY (book_id, channel_id) REFERENCES public.row_channel(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_candidate_price
    ADD CONSTRAINT row_candidate_price_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_candidate_price
    ADD CONSTRAINT row_candidate_price_book_id_product_id_fkey FOREIGN KEY (book_id, product_id) REFERENCES public.row_product(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_channel
    ADD CONSTRAINT row_channel_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_equipment
    ADD CONSTRAINT row_equipment_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_equipment_run
    ADD CONSTRAINT row_equipment_run_book_id_equipment_id_fkey FOREIGN KEY (book_id, equipment_id) REFERENCES public.row_equipment(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_equipment_run
    ADD CONSTRAINT row_equipment_run_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_equipment_use
    ADD CONSTRAINT row_equipment_use_book_id_equipment_id_fkey FOREIGN KEY (book_id, equipment_id) REFERENCES public.row_equipment(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_equipment_use
    ADD CONSTRAINT row_equipment_use_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_equipment_use
    ADD CONSTRAINT row_equipment_use_book_id_product_id_fkey FOREIGN KEY (book_id, product_id) REFERENCES public.row_product(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_equipment_use
    ADD CONSTRAINT row_equipment_use_book_id_run_id_fkey FOREIGN KEY (book_id, run_id) REFERENCES public.row_equipment_run(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_exchange_rate
    ADD CONSTRAINT row_exchange_rate_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_frozen_card
    ADD CONSTRAINT row_frozen_card_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_frozen_card
    ADD CONSTRAINT row_frozen_card_book_id_product_id_fkey FOREIGN KEY (book_id, product_id) REFERENCES public.row_product(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_frozen_line
    ADD CONSTRAINT row_frozen_line_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_frozen_line
    ADD CONSTRAINT row_frozen_line_book_id_frozen_card_id_fkey FOREIGN KEY (book_id, frozen_card_id) REFERENCES public.row_frozen_card(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_item_conversion
    ADD CONSTRAINT row_item_conversion_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_item_conversion
    ADD CONSTRAINT row_item_conversion_book_id_material_id_fkey FOREIGN KEY (book_id, material_id) REFERENCES public.row_material(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_item_conversion
    ADD CONSTRAINT row_item_conversion_book_id_product_id_fkey FOREIGN KEY (book_id, product_id) REFERENCES public.row_product(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_labour_grade
    ADD CONSTRAINT row_labour_grade_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_labour_step
    ADD CONSTRAINT row_labour_step_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_labour_step
    ADD CONSTRAINT row_labour_step_book_id_grade_id_fkey FOREIGN KEY (book_id, grade_id) REFERENCES public.row_labour_grade(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_labour_step
    ADD CONSTRAINT row_labour_step_book_id_product_id_fkey FOREIGN KEY (book_id, product_id) REFERENCES public.row_product(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_material
    ADD CONSTRAINT row_material_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_material
    ADD CONSTRAINT row_material_preferred_supplier FOREIGN KEY (book_id, preferred_supplier_id) REFERENCES public.row_supplier(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_other_cost
    ADD CONSTRAINT row_other_cost_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_other_cost
    ADD CONSTRAINT row_other_cost_book_id_product_id_fkey FOREIGN KEY (book_id, product_id) REFERENCES public.row_product(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_price_point
    ADD CONSTRAINT row_price_point_book_id_channel_id_fkey FOREIGN KEY (book_id, channel_id) REFERENCES public.row_channel(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_price_point
    ADD CONSTRAINT row_price_point_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_price_point
    ADD CONSTRAINT row_price_point_book_id_product_id_fkey FOREIGN KEY (book_id, product_id) REFERENCES public.row_product(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_product
    ADD CONSTRAINT row_product_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_recovered_scrap
    ADD CONSTRAINT row_recovered_scrap_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_recovered_scrap
    ADD CONSTRAINT row_recovered_scrap_book_id_product_id_fkey FOREIGN KEY (book_id, product_id) REFERENCES public.row_product(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_running_cost
    ADD CONSTRAINT row_running_cost_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_settings
    ADD CONSTRAINT row_settings_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_standard_price
    ADD CONSTRAINT row_standard_price_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_standard_price
    ADD CONSTRAINT row_standard_price_book_id_material_id_fkey FOREIGN KEY (book_id, material_id) REFERENCES public.row_material(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_supplier
    ADD CONSTRAINT row_supplier_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_supplier_price
    ADD CONSTRAINT row_supplier_price_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_supplier_price
    ADD CONSTRAINT row_supplier_price_book_id_material_id_fkey FOREIGN KEY (book_id, material_id) REFERENCES public.row_material(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_supplier_price
    ADD CONSTRAINT row_supplier_price_book_id_supplier_id_fkey FOREIGN KEY (book_id, supplier_id) REFERENCES public.row_supplier(book_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.row_typed_cost
    ADD CONSTRAINT row_typed_cost_book_id_fkey FOREIGN KEY (book_id) REFERENCES public.books(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.row_typed_cost
    ADD CONSTRAINT row_typed_cost_book_id_product_id_fkey FOREIGN KEY (book_id, product_id) REFERENCES public.row_product(book_id, id) DEFERRABLE INITIALLY DEFERRED;
SELECT setval('public.migrations_id_seq', (SELECT max(id) FROM public.migrations));
