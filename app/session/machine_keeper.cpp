// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/machine_keeper.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/ports/ports.hpp>

#include <QCryptographicHash>
#include <QDir>
#include <algorithm>

namespace chalkline::app {
namespace {

constexpr double longest_between_statuses = 1;  // s: a longer silence is not counted as burning

/// What a controller is known by: its USB device where that has a number of its own, else the address.
QString key_for(const QString& address) {
    for (const ports::Port& port : ports::list())
        if (port.path == address.toStdString() && !port.serial.empty())
            return QString::fromStdString("usb " + port.maker + " " + port.product + " " + port.serial);
    return address;
}

}  // namespace

MachineKeeper::MachineKeeper(MachineLink& machine, QString folder, QObject* parent)
    : QObject(parent), machine_(machine), folder_(std::move(folder)), first_(machine.flat_profile()) {
    connect(&machine_, &MachineLink::ready, this, &MachineKeeper::meet);
    connect(&machine_, &MachineLink::changed, this, &MachineKeeper::count_beam);
    connect(&machine_, &MachineLink::finished, this, &MachineKeeper::learn_zero);
    use(sample_key());
}

/// Simulated machines of other profiles are other machines.
QString MachineKeeper::sample_key() const {
    return "simulated " + QString::fromStdString(first_.name);
}

void MachineKeeper::connect_to(const QString& address) {
    use(key_for(address));
    machine_.connect_to(address, address);
}

void MachineKeeper::connect_to(const QString& address, int baud, machine::Dialect dialect) {
    use(key_for(address));
    machine::MachineProfile profile = machine_.flat_profile();
    profile.baud = baud;
    profile.dialect = dialect;
    machine_.set_profile(profile);
    machine_.connect_to(address, address);
}

void MachineKeeper::connect_to_sample(const QString& port) {
    use(sample_key());
    machine_.connect_to_sample(port);
}

QString MachineKeeper::file_of(const QString& key, const char* ending) const {
    QString name;
    for (const QChar c : key.left(60))
        name += c.isLetterOrNumber() ? c.toLower() : QChar('-');
    const QByteArray mark = QCryptographicHash::hash(key.toUtf8(), QCryptographicHash::Sha1).toHex().left(8);
    return QDir(folder_).filePath(name + "-" + mark + ending);
}

/// The profile kept under the key, or the one every controller begins with.
void MachineKeeper::use(const QString& key) {
    key_ = key;
    differences_.clear();
    machine::MachineProfile profile = first_;
    const QString file = file_of(key, ".json");
    const auto bytes = read_file(file.toStdString());
    met_before_ = bytes.has_value();
    if (bytes) {
        const auto kept = machine::parse_profile(*bytes, file.toStdString());
        if (kept)
            profile = *kept;
        else  // said once the window listens, too
            QMetaObject::invokeMethod(
                this, [this, error = kept.error()] { Q_EMIT message(wording::describe(error)); }, Qt::QueuedConnection);
    }
    machine_.set_profile(profile);
}

void MachineKeeper::keep(const machine::MachineProfile& profile) {
    machine_.set_profile(profile);
    met_before_ = true;
    QDir().mkpath(folder_);
    const auto kept = replace_file(file_of(key_, ".json").toStdString(), machine::to_json(profile));
    if (!kept) Q_EMIT message(wording::describe(kept.error()));
}

machine::MachineProfile MachineKeeper::told(const machine::MachineProfile& base) const {
    const machine::Snapshot& now = machine_.snapshot();
    if (!now.settings) return base;
    return machine::as_told(base, {*now.settings, now.receive_buffer, now.planner_blocks});
}

/// The controller answered. The first time its figures are taken; later they are compared with what it said then.
void MachineKeeper::meet() {
    if (machine_.is_sample()) return;
    const machine::MachineProfile now = told(machine_.flat_profile());
    if (!met_before_) {
        const auto taken = machine::differences(machine_.flat_profile(), now);
        keep(now);
        remember_facts();
        const QString beam = tr("It does not know its beam: set watts and spot under “Machine” in the rail.");
        if (machine_.snapshot().settings && taken.empty())
            Q_EMIT message({tr("This controller is new here; its figures are those of the profile"), {}, beam});
        else if (machine_.snapshot().settings)
            Q_EMIT message({tr("This controller is new here: %n of its figures were taken over", nullptr,
                               static_cast<int>(taken.size())),
                            {},
                            beam});
        else
            Q_EMIT message({tr("This controller is new here and tells nothing of itself"),
                            {},
                            tr("Check the bed, the speeds and the home corner, too. %1").arg(beam)});
        return;
    }
    const auto seen = read_file(file_of(key_, ".seen").toStdString());
    if (seen && *seen == machine::to_json(told({}))) return;
    differences_ = machine::differences(machine_.flat_profile(), now);
    if (differences_.empty())
        remember_facts();
    else
        Q_EMIT differs();
}

void MachineKeeper::take_the_controllers() {
    keep(told(machine_.flat_profile()));
    keep_mine();
}

void MachineKeeper::keep_mine() {
    differences_.clear();
    remember_facts();
}

void MachineKeeper::remember_facts() {
    (void)replace_file(file_of(key_, ".seen").toStdString(), machine::to_json(told({})));
}

/// Where its build counts from is seen when it has found home, and holds for every other time.
void MachineKeeper::learn_zero(machine::Activity ended) {
    const auto zero = machine_.snapshot().zero_at_home;
    if (ended != machine::Activity::homing || !zero || *zero == machine_.flat_profile().zero_at_home) return;
    machine::MachineProfile profile = machine_.flat_profile();
    profile.zero_at_home = *zero;
    keep(profile);
}

void MachineKeeper::count_beam() {
    const machine::Snapshot& now = machine_.snapshot();
    const bool was_burning = std::exchange(burning_, now.activity == machine::Activity::burning);
    const double gone = since_status_.isValid() ? static_cast<double>(since_status_.restart()) / 1000 : 0;
    if (!since_status_.isValid()) since_status_.start();
    if (!was_burning && unkept_hours_ <= 0) return;
    if (was_burning && now.power > 0) unkept_hours_ += std::min(gone, longest_between_statuses) / 3600;
    if (machine_.active() || unkept_hours_ <= 0) return;
    machine::MachineProfile profile = machine_.flat_profile();
    profile.beam_hours += std::exchange(unkept_hours_, 0);
    keep(profile);
}

}  // namespace chalkline::app
