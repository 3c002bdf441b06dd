// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/session.hpp>
#include <chalkline/link/session_runner.hpp>
#include <chalkline/link/witness.hpp>
#include <chalkline/machine/rotary.hpp>

#include <QObject>
#include <QProcess>
#include <QString>
#include <QTemporaryDir>
#include <QTimer>
#include <map>
#include <memory>
#include <mutex>
#include <optional>

namespace chalkline::app {

/// The machine as the window sees it: brings the session's events to the GUI thread and takes its wishes there.
class MachineLink : public QObject {
    Q_OBJECT
 public:
    explicit MachineLink(machine::MachineProfile profile, QObject* parent = nullptr);
    ~MachineLink() override;

    /// The machine as the job finds it: flat, or turning the job's round piece.
    const machine::MachineProfile& profile() const { return profile_; }
    /// The machine as it is kept, whatever lies in it.
    const machine::MachineProfile& flat_profile() const { return flat_; }
    /// Other figures from now on, for the controller that is connected too.
    void set_profile(const machine::MachineProfile& flat);
    /// What the rotary holds from now on; nothing: the machine is flat.
    void put_in(const std::optional<machine::RoundWall>& wall);
    const machine::Snapshot& snapshot() const { return snapshot_; }
    /// Where the head is on the bed, as long as that is sure.
    std::optional<geometry::Point> head() const;
    /// What is connected, in words: "simulated", "/dev/ttyUSB0".
    QString name() const { return name_; }
    bool connected() const { return snapshot_.connected; }
    /// Something moves or burns, or a program is under way.
    bool active() const;
    /// It waits for what it is asked next.
    bool free() const {
        return snapshot_.connected && snapshot_.activity == machine::Activity::none &&
               snapshot_.state == machine::ControllerState::idle;
    }

    void connect_to(const QString& address, const QString& name);
    /// The same for the simulated machine that came with Chalkline.
    void connect_to_sample(const QString& port);
    bool is_sample() const { return sample_; }
    /// What is connected, or was last: a device, tcp:HOST:PORT.
    QString address() const { return address_; }
    /// Where a machine at that address was left, for the next conversation with it.
    void remember(const QString& address, const machine::RememberedPlace& place) { places_[address] = place; }
    void disconnect_now();

    void home();
    void unlock();
    void turn_laser_mode_on();
    void jog(geometry::Point by);
    void go_to(geometry::Point place);
    /// Moves on until `cancel_jog`.
    void jog_on(geometry::Point way);
    void cancel_jog();
    void move_focus(double by);
    void pulse(Power power, Duration time);
    void probe();
    /// The maker says where the head stands.
    void stands_at(geometry::Point place);
    void release_motors();
    void wake();
    void write_setting(int number, double value);
    void send_line(const QString& text);
    /// The last lines of the wire, oldest first: "> sent" and "< got".
    const QStringList& wire_log() const { return wire_log_; }
    /// Changes speed and power of the program that runs by so many % of what it says.
    void trim_by(int speed, int power);
    void hold();
    void resume();
    void stop();
    /// The link's thread pulls its lines.
    void frame(const clearance::ClearedProgram& program);
    void burn(const clearance::ClearedProgram& program, const machine::Trims& trims);
    /// Lets the controller burn a file of its own store; `copy`: what is in it.
    void run_stored(const machine::StoredFile& file, const clearance::ClearedProgram& copy);
    /// Anything else; what is refused is told by `failed`.
    void ask(link::SessionRunner::Request request);
    /// Told of everything from now on, in place of the one before; null: nobody.
    void set_witness(std::shared_ptr<link::Witness> witness);

 Q_SIGNALS:
    void changed();
    /// `figures`: also something that plans and checks are worked out from.
    void profile_changed(bool figures);
    /// The machine's own start button went down.
    void start_pressed();
    void ready();
    void finished(chalkline::machine::Activity activity);
    void stopped(chalkline::machine::Activity activity, bool position_sure, bool beam_off);
    void failed(chalkline::machine::Activity activity, const chalkline::Error& error);
    /// Lines of the wire log, "> sent" and "< got".
    void wire(const QStringList& lines);

 private:
    struct Stand;
    static void tell(Stand& stand, const std::vector<machine::Event>& events);
    void take(std::vector<machine::Event> events);

    /// Shared with the link's thread.
    struct Stand {
        std::mutex guard;
        std::shared_ptr<link::Witness> witness;
    };

    void use(const machine::MachineProfile& profile);
    void keep_place();

    machine::MachineProfile flat_, profile_;
    std::optional<machine::RoundWall> wall_;  ///< in the rotary
    machine::Snapshot snapshot_;
    std::shared_ptr<Stand> stand_ = std::make_shared<Stand>();
    QString name_, address_;
    std::map<QString, machine::RememberedPlace> places_;  ///< where machines were left, by their addresses
    std::unique_ptr<link::SessionRunner> runner_;
    bool sample_ = false;
    QStringList wire_log_;
    int connection_ = 0;  ///< events of an older connection are dropped
};

/// The simulated machine as a child process, reached through its pty like a real one.
class SampleMachine : public QObject {
    Q_OBJECT
 public:
    explicit SampleMachine(QObject* parent = nullptr);
    ~SampleMachine() override;

    /// Starts it if it does not run; `serving(port)` or `failed` follows. `speed`: virtual seconds a second, or "max".
    void start(const machine::MachineProfile& profile, const QString& speed);
    /// Asks for a picture of its bed, 10 pixels a millimetre; `pictured` follows when it runs.
    void take_picture();
    /// What its rotary holds from now on.
    void put_in(const std::optional<machine::RoundWall>& wall);
    /// Another piece of the same kind, on which nothing is burned yet.
    void lay_fresh_piece();

 Q_SIGNALS:
    void pictured(const QString& file);
    void serving(const QString& port);
    void failed(const QString& reason);

 private:
    QString picture() const { return folder_.filePath("bed.png"); }
    void write_piece() const;
    std::optional<machine::RoundWall> wall_;
    int piece_ = 0;  ///< counted: another number is another piece
    QTemporaryDir folder_;
    QProcess process_;
    QTimer waiting_;  ///< for the picture
};

}  // namespace chalkline::app
