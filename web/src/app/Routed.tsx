import { lazy, Suspense } from 'react';
import { Navigate, Outlet, Route, Routes, useLocation } from 'react-router';
import { SignIn } from '../features/session/SignIn';
import { Empty, Failed, Loading } from '../ui/states';
import { Frame } from './Frame';
import { can, startOf, useSession } from './session';

const StandardPage = lazy(() => import('../features/standard/StandardPage'));
const TechniquesPage = lazy(() => import('../features/standard/TechniquesPage'));
const PricesPage = lazy(() => import('../features/standard/PricesPage'));
const DifferencesPage = lazy(() => import('../features/standard/DifferencesPage'));
const ComparisonPage = lazy(() => import('../features/standard/ComparisonPage'));
const VersionsPage = lazy(() => import('../features/standard/VersionsPage'));
const PacksPage = lazy(() => import('../features/standard/PacksPage'));
const ForYouPage = lazy(() => import('../features/client/ForYouPage'));
const SharedPage = lazy(() => import('../features/standard/SharedPage'));
const OrdersPage = lazy(() => import('../features/orders/OrdersPage'));
const ClientPage = lazy(() => import('../features/orders/ClientPage'));
const ClientsPage = lazy(() => import('../features/orders/ClientsPage'));
const CodePage = lazy(() => import('../features/orders/CodePage'));
const OrderPage = lazy(() => import('../features/orders/OrderPage'));
const QuotePage = lazy(() => import('../features/quotes/QuotePage'));
const PlanPage = lazy(() => import('../features/plan/PlanPage'));
const CardPage = lazy(() => import('../features/plan/CardPage'));
const SchemesPage = lazy(() => import('../features/schemes/SchemesPage'));
const PaintsPage = lazy(() => import('../features/schemes/PaintsPage'));
const SchemePage = lazy(() => import('../features/schemes/SchemePage'));
const FiguresPage = lazy(() => import('../features/figures/FiguresPage'));
const MapPage = lazy(() => import('../features/figures/MapPage'));
const BenchPage = lazy(() => import('../features/bench/BenchPage'));
const BatchPage = lazy(() => import('../features/bench/BatchPage'));
const DayPage = lazy(() => import('../features/day/DayPage'));
const ChecksPage = lazy(() => import('../features/check/ChecksPage'));
const AgreePage = lazy(() => import('../features/check/AgreePage'));
const DrillPage = lazy(() => import('../features/check/DrillPage'));
const TrayPage = lazy(() => import('../features/check/TrayPage'));
const CheckPage = lazy(() => import('../features/check/CheckPage'));
const PeoplePage = lazy(() => import('../features/settings/PeoplePage'));
const StudioPage = lazy(() => import('../features/settings/StudioPage'));
const YouPage = lazy(() => import('../features/settings/YouPage'));
const JoinPage = lazy(() => import('../features/session/JoinPage'));
const ClientCertificatePage = lazy(() => import('../features/certificate/ClientCertificatePage'));
const CertificatePage = lazy(() => import('../features/certificate/CertificatePage'));

/** Where one's own account is. */
const YOU = '/settings/you';

function SignedIn() {
    const session = useSession();
    const place = useLocation();
    if (session.isPending) return <Loading what="the studio" />;
    if (session.isError) return <Failed error={session.error} again={() => void session.refetch()} />;
    if (!session.data.person) return <SignIn demo={session.data.demo} studio={session.data.studio} />;
    if (session.data.person.second_factor === 'wanted' && place.pathname !== YOU)
        return <Navigate to={YOU} replace />;
    if (place.pathname === '/') return <Navigate to={startOf(session.data.person)} replace />;
    return (
        <Frame>
            <Suspense fallback={<Loading what="the page" />}>
                <Outlet />
            </Suspense>
        </Frame>
    );
}

function Needs({ ability }: { ability: string }) {
    const person = useSession().data?.person ?? null;
    return can(person, ability) ? (
        <Outlet />
    ) : (
        <Empty title="Not for your role">
            <p>Ask the lead painter if you need this page.</p>
        </Empty>
    );
}

export function Routed() {
    return (
        <Routes>
            <Route
                path="shared/:secret"
                element={
                    <Suspense fallback={<Loading what="the sheet" />}>
                        <SharedPage />
                    </Suspense>
                }
            />
            <Route
                path="for-you/:secret"
                element={
                    <Suspense fallback={<Loading what="your order" />}>
                        <ForYouPage />
                    </Suspense>
                }
            />
            <Route
                path="agree/:secret"
                element={
                    <Suspense fallback={<Loading what="the question" />}>
                        <AgreePage />
                    </Suspense>
                }
            />
            <Route
                path="certificate/:secret"
                element={
                    <Suspense fallback={<Loading what="the certificate" />}>
                        <ClientCertificatePage />
                    </Suspense>
                }
            />
            <Route
                path="join/:secret"
                element={
                    <Suspense fallback={<Loading what="the link" />}>
                        <JoinPage />
                    </Suspense>
                }
            />
            <Route element={<SignedIn />}>
                <Route index element={null} />
                <Route element={<Needs ability="standard.read" />}>
                    <Route path="standard" element={<StandardPage />} />
                    <Route path="standard/techniques" element={<TechniquesPage />} />
                    <Route path="standard/prices" element={<PricesPage />} />
                    <Route path="standard/differences" element={<DifferencesPage />} />
                    <Route path="standard/comparison" element={<ComparisonPage />} />
                    <Route path="standard/versions" element={<VersionsPage />} />
                    <Route path="standard/packs" element={<PacksPage />} />
                </Route>
                <Route element={<Needs ability="orders.read" />}>
                    <Route path="orders" element={<OrdersPage />} />
                    <Route path="orders/:id" element={<OrderPage />} />
                    <Route path="orders/:id/quote" element={<QuotePage />} />
                    <Route path="orders/:id/for-the-client" element={<ForYouPage />} />
                    <Route path="clients" element={<ClientsPage />} />
                    <Route path="clients/:id" element={<ClientPage />} />
                </Route>
                <Route element={<Needs ability="plan.read" />}>
                    <Route path="units/:id/plan" element={<PlanPage />} />
                    <Route path="units/:id/card" element={<CardPage />} />
                </Route>
                <Route element={<Needs ability="schemes.read" />}>
                    <Route path="paints" element={<PaintsPage />} />
                    <Route path="schemes" element={<SchemesPage />} />
                    <Route path="schemes/:slug" element={<SchemePage />} />
                    <Route path="figures" element={<FiguresPage />} />
                    <Route path="figures/:slug" element={<MapPage />} />
                </Route>
                <Route element={<Needs ability="bench.use" />}>
                    <Route path="bench" element={<BenchPage />} />
                    <Route path="bench/day" element={<DayPage />} />
                    <Route path="bench/:id" element={<BatchPage />} />
                </Route>
                <Route element={<Needs ability="check.read" />}>
                    <Route path="check" element={<ChecksPage />} />
                    <Route path="check/drill" element={<DrillPage />} />
                    <Route path="check/tray/:unit" element={<TrayPage />} />
                    <Route path="check/:id" element={<CheckPage />} />
                </Route>
                <Route element={<Needs ability="certificate.read" />}>
                    <Route path="certificates/:number" element={<CertificatePage />} />
                </Route>
                <Route element={<Needs ability="people.edit" />}>
                    <Route path="settings/people" element={<PeoplePage />} />
                    <Route path="settings/studio" element={<StudioPage />} />
                </Route>
                <Route path="p/:code" element={<CodePage />} />
                <Route path="settings/you" element={<YouPage />} />
                <Route
                    path="*"
                    element={
                        <Empty title="Nothing here">
                            <p>This address leads nowhere. Pick a page on the left.</p>
                        </Empty>
                    }
                />
            </Route>
        </Routes>
    );
}
